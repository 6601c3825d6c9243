# frozen_string_literal: true

require_relative "../contracts/brake_data"
require_relative "../contracts/look_overs"
require_relative "../serializers/brake_data"
require_relative "../serializers/preview"
require_relative "../serializers/wear"
require_relative "../../core/quantity/entered_number"
require_relative "../../service/axle_overview"
require_relative "../../service/log_look_over"
require_relative "../../service/record_brake_data"

module Graver
  module API
    module Routes
      # What is known, read and believed of one axle.
      module Axles
        def self.registered(app)
          app.helpers do
            # An axle that is there, without all that is on file about it.
            def axle_id = context.store.vehicles.find_axle(id).id
            def file = Service::AxleFiles.new(context).find(id)
            def brake_data_json = Serializers::BrakeData.new(knowledge, context.store.brake_data.method(:history)).call(file)

            def asked_limit_mm(file)
              return file.limit_mm if params["limit_mm"].to_s.empty?

              limit = Core::Quantity::EnteredNumber.parse(params["limit_mm"]).value.to_f
              raise InvalidEntry.of("", "out_of_range", "a limit for pads lies between 1 and 12 mm") unless limit.between?(1, 12)

              limit
            rescue InvalidEntry => e
              raise e.under("limit_mm")
            end
          end

          app.get("/axles/:id/brake-data") { answer(brake_data_json) }

          app.post("/axles/:id/brake-data") do
            Service::RecordBrakeData.new(context).call(id, payload(Contracts::BrakeDataEntries).fetch(:entries))
            answer(brake_data_json)
          end

          app.post("/axles/:id/look-overs") do
            answer({ id: Service::LogLookOver.new(context).call(id, payload(Contracts::LookOver)) }, 201)
          end

          app.post("/axles/:id/look-overs/preview") do
            given = payload(Contracts::LookOver)
            mine = file
            answer(Serializers::Preview.new(knowledge).call(mine, Service::LookOverEntry.new(context, mine, given)))
          end

          app.get("/axles/:id/draft") do
            draft = context.store.drafts.find(axle_id)
            answer({ draft: draft&.to_h&.slice(:content, :revision) })
          end

          app.put("/axles/:id/draft") do
            # The content is the screen's own affair: checked to be an object, kept as it came.
            content = parsed
            revision = Contracts::DraftChange.check(content)[:revision]
            draft = context.store.transaction { context.store.drafts.save(axle_id, content["content"], revision:, at: context.now) }
            answer(draft.to_h.slice(:content, :revision))
          end

          app.delete("/axles/:id/draft") do
            context.store.transaction { context.store.drafts.remove(axle_id) }
            status 204
          end

          app.get("/axles/:id/wear") do
            mine = file
            answer(Serializers::Wear.new(knowledge).call(Service::AxleOverview.new(context).call(mine, limit_mm: asked_limit_mm(mine))))
          end
        end
      end
    end
  end
end
