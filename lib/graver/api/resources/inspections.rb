# frozen_string_literal: true

module Graver
  module API
    module Resources
      # Inspections: the form, its draft and preview; and logged inspections with their corrections.
      class Inspections < Resource
        get "/vehicles/:id/inspection-form", :inspection_form
        put "/inspection-order", :change_inspection_order
        post "/vehicles/:id/inspections", :log_inspection, 201
        post "/vehicles/:id/inspections/preview", :preview_inspection
        get "/vehicles/:id/draft", :draft
        put "/vehicles/:id/draft", :save_draft
        delete "/vehicles/:id/draft", :bin_draft
        post "/drafts/:id/restore", :restore_draft
        get "/inspections/:id", :inspection
        post "/inspections/:id/corrections", :correct_inspection, 201
        post "/photo-measurements", :measure_photo
        repeatable :preview_inspection, :measure_photo
        asks :preview_inspection, :measure_photo

        def inspection_form
          round = walk.call(Service::Overview::VehicleOverviews.new(context).find(id))
          Serializers::InspectionForms.new(knowledge).call(
            round,
            context.today,
            Service::Household::Instruments.new(context).all
          )
        end

        def change_inspection_order
          given = payload(Contracts::InspectionOrder)
          if_unchanged(walk.versioned_fields, given) { walk.remember(given) }
          walk.order.merge(revision: revision(walk.order))
        end

        def log_inspection = { id: logging.call(id, payload(Contracts::Inspection)) }
        def preview_inspection
          Serializers::Preview.new(knowledge).call(logging.entry(id, payload(Contracts::Inspection)))
        end
        def measure_photo
          given = payload(Contracts::PhotoMarks)
          Serializers::PhotoMeasured.call(Service::Measuring::PhotoMeasurement.new(knowledge).call(given))
        end
        def draft = { draft: drafts.find(id)&.to_h&.slice(:content, :revision) }

        # The content belongs to the screen: checked to be an object, kept as sent.
        def save_draft
          content = @exchange.parsed
          revision = Contracts::DraftChange.check(content)[:revision]
          drafts.save(id, content["content"], revision).to_h.slice(:content, :revision)
        end

        def bin_draft = { binned: drafts.bin(id) }
        def restore_draft = { vehicle_id: Service::Household::Bin.new(context).restore_draft(id) }
        def inspection
          logged_inspection(id)
        end

        def correct_inspection
          correct(Service::Measuring::Correct.new(context), payload(Contracts::InspectionCorrection))
          inspection
        end

        private

        def walk = Service::Measuring::InspectionForm.new(context)
        def logging = Service::Measuring::LogInspection.new(context)
        def drafts = Service::Measuring::Drafts.new(context)

        def correct(correct, given)
          if given[:reading]
            correct.reading(id, given[:reading], given.except(:reading))
          elsif given[:condition]
            correct.condition(id, given[:condition], given.except(:condition))
          else
            correct.inspection(id, given)
          end
        end
      end
    end
  end
end
