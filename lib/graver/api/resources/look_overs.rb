# frozen_string_literal: true

module Graver
  module API
    module Resources
      # The walk round a vehicle: what it needs, its draft, its preview; and what was logged, with its corrections.
      class LookOvers < Resource
        get "/vehicles/:id/walk-round", :walk_round
        put "/walk-round-order", :change_walk_order
        post "/vehicles/:id/look-overs", :log_look_over, 201
        post "/vehicles/:id/look-overs/preview", :preview_look_over
        get "/vehicles/:id/draft", :draft
        put "/vehicles/:id/draft", :save_draft
        delete "/vehicles/:id/draft", :bin_draft
        post "/binned-drafts/:id/restore", :restore_draft
        get "/look-overs/:id", :look_over
        post "/look-overs/:id/corrections", :correct_look_over, 201
        repeatable :preview_look_over

        def walk_round
          round = walk.call(Service::Overview::VehicleOverviews.new(context).find(id))
          Serializers::WalkRounds.new(knowledge).call(
            round,
            context.today,
            Service::Axles::Instruments.new(context).all
          )
        end

        def change_walk_order
          given = payload(Contracts::WalkOrder)
          as_seen(walk.matter, given) { walk.remember(given) }
          walk.order.merge(revision: revision(walk.order))
        end

        def log_look_over = { id: logging.call(id, payload(Contracts::LookOver)) }
        def preview_look_over
          Serializers::Preview.new(knowledge).call(logging.entry(id, payload(Contracts::LookOver)))
        end
        def draft = { draft: drafts.find(id)&.to_h&.slice(:content, :revision) }

        # The content is the screen's own affair: checked to be an object, kept as it came.
        def save_draft
          content = @exchange.parsed
          revision = Contracts::DraftChange.check(content)[:revision]
          drafts.save(id, content["content"], revision).to_h.slice(:content, :revision)
        end

        def bin_draft = { binned: drafts.bin(id) }
        def restore_draft = { vehicle_id: Service::Household::Bin.new(context).restore_draft(id) }
        def look_over
          Serializers::LookOvers.of(context, id)
        end

        def correct_look_over
          correct(Service::Measuring::Correct.new(context), payload(Contracts::LookOverCorrection))
          look_over
        end

        private

        def walk = Service::Measuring::WalkRound.new(context)
        def logging = Service::Measuring::LogLookOver.new(context)
        def drafts = Service::Measuring::Drafts.new(context)

        def correct(correct, given)
          if given[:reading]
            correct.reading(id, given[:reading], given.except(:reading))
          elsif given[:condition]
            correct.condition(id, given[:condition], given.except(:condition))
          else
            correct.look_over(id, given)
          end
        end
      end
    end
  end
end
