# frozen_string_literal: true

module Graver
  module Service
    module Jobs
      # Work that could be added to a job: an axle near in the same session, fluid that is due, and work for a mark not
      # dealt with yet.
      class ScopeOffers
        # adds: { axle id => [work] }; text: why; found: because of a mark that nothing in the job answers yet
        Offer = Core::Value.define(:adds, :text, :found)

        def initialize(context)
          @context = context
          @knowledge = context.knowledge
        end

        # VehicleOverviews::Overview, [Scope::AxleScope] of the whole vehicle -> [Offer]
        def call(overview, axles)
          session(overview, axles) + fluid(overview, axles) + axles.select(&:included?).flat_map { |axle| marks(axle) }
        end

        private

        def session(overview, axles)
          began, others = axles.partition(&:included?)
          found = near(overview, began.map(&:name)) or return []

          others
            .select { |axle| found.axles.include?(axle.name) }
            .map { |axle| offer({ axle.file.axle.id => axle.proposed.keys }, found.text) }
        end

        # The session these axles belong to, where another does too.
        def near(overview, began)
          sessions = Forecast::Timeline.new(@context).call(overview).sessions
          sessions.find { |each| each.axles.intersect?(began) && each.axles.length > 1 }
        end

        def marks(axle)
          wanting = UnaddressedFindings.new(@knowledge.scope_rules, axle).wanting
          wanting.map do |seen, work|
            text =
              Message.of("jobs.mark_offer", text: Typography.sentence(seen.text), work: @knowledge.work(work).label)
            offer({ axle.file.axle.id => with(axle, work) }, text, found: true)
          end
        end

        def fluid(overview, axles)
          due = overview.fluid or return []
          soon = due.due_on <= @context.today + Household::ScheduleChoices.new(@context).chosen.fetch("combine_days")
          return [] if !soon || axles.any? { |axle| axle.works.include?("bleed") }

          when_ = Message.of(due.overdue_days.positive? ? "jobs.overdue_since" : "jobs.due_on", day: due.due_on)
          adds = axles.to_h { |axle| [axle.file.axle.id, with(axle, "bleed")] }
          [offer(adds, Message.of("jobs.fluid_offer", when: when_))]
        end

        # Where something is done, looking alone is part of it.
        def with(axle, work)
          rules = @knowledge.scope_rules
          (rules.looking?(axle.works) ? [] : axle.works) + [work]
        end

        def offer(adds, text, found: false) = Offer.new(adds:, text:, found:)
      end
    end
  end
end
