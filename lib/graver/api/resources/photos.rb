# frozen_string_literal: true

module Graver
  module API
    module Resources
      # Photos at steps of a job and at inspections.
      class Photos < Resource
        JPEG = "image/jpeg"
        post "/jobs/:id/photos", :photograph_step, 201
        post "/inspections/:id/photos", :photograph_inspection, 201
        get "/photos/:id", :photo
        delete "/photos/:id", :remove_photo
        post "/photos/:id/restore", :restore_photo

        def photograph_step
          job = Service::Jobs::Photograph.new(context).call(id, params["step"].to_s, bytes)
          Sections.with_version(job_plan(Service::Jobs::JobPlan.new(context).of_job(job)))
        end

        def photograph_inspection
          photos.at_inspection(id, bytes)
          logged_inspection(id)
        end

        def photo = Download.new(type: JPEG, body: photos.bytes(id), disposition: "inline")
        def remove_photo = Serializers::Photos.one(photos.remove(id))
        def restore_photo = Serializers::Photos.one(photos.restore(id))

        private

        def photos = @photos ||= Service::Measuring::Photos.new(context)
        def bytes = @exchange.bytes(Service::Measuring::Photos::LARGEST_BYTES)
      end
    end
  end
end
