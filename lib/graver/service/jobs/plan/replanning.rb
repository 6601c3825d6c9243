# frozen_string_literal: true

module Graver
  module Service
    module Jobs
      # Plans a job in progress from the state of the brake: its new basis, or the reason why it can't be planned from
      # there.
      class Replanning
        def initialize(context)
          @context = context
          @knowledge = context.knowledge
          @plans = JobPlan.new(context)
          @scoping = Scope.new(context)
        end

        # The basis of a job that begins now. -> Hash, see Basis.entry
        def begin(job)
          ordered = @plans.ordered(job)
          Basis.entry(
            **ordered.to_h.slice(:setups, :lifts, :bleed),
            placed: ordered.base,
            held: state(job, ordered).to_a,
            done: job.done
          )
        end

        # job: Storage::Job that has begun; works: { axle id => [work] } and approaches: { kind => option } wanted of
        # it; road: is the vehicle driven at the end? -> Hash. Raises InvalidEntry.
        def call(job, works, approaches, road: true)
          setups, bleed = wanted(job, works, approaches)
          held = state(job).to_a
          result = plan(job, setups, held, bleed, road)
          Basis.entry(
            **result.to_h,
            setups: with_axles_at_hand(setups, result.lifts),
            bleed: result.lifts.any? { |lift| lift.bleeding.any? } ? bleed : nil,
            held:,
            road:
          )
        rescue Core::Planning::ReplanWalk::Impossible => e
          raise InvalidEntry.of("axles", "breaks_order", OrderFaults.new(@knowledge).impossible(e))
        end

        # Storage::Job -> Core::Planning::BrakeState
        def state(job, ordered = @plans.ordered(job)) = JobState.new(@knowledge, ordered).call(job)

        private

        def plan(job, setups, held, bleed, road)
          planner = Core::Planning::Replan.new(@knowledge.procedure, @knowledge.sequence, lifts(bleed), road:)
          planner.call(setups, @plans.ordered(job).lifts, held, job.done)
        end

        # The work of refitting what is apart, and nothing else.
        TOGETHER = "together"
        private_constant :TOGETHER

        # { axle id => [work] } -> [[Lifts::Setup], bleed]. Raises InvalidEntry where brake data are missing that decide
        # how the steps go.
        def wanted(job, works, approaches)
          files = files(job)
          chosen =
            files
              .to_h { |file| [file, @scoping.known(works.fetch(file.axle.id, [])) - [TOGETHER]] }
              .reject { |_, of_axle| of_axle.empty? }
          require_data(chosen)
          setups = chosen.map { |file, of_axle| @scoping.setup(file, of_axle, approaches) }
          [setups, Jobs::Steps.new(@knowledge).bleed_order(files.first)]
        end

        def files(job)
          Household::AxleRecords.new(@context).beside(job.axle_id)
        end

        def require_data(chosen)
          faults =
            chosen.flat_map do |file, works|
              missing = @scoping.gaps(file, works).select(&:last).map(&:first)
              missing.map { |field| unknown(file, field) } + [impossible(file, works)].compact
            end
          raise InvalidEntry, faults if faults.any?
        end

        def unknown(file, field)
          message =
            Message.of("jobs.needs_datum", axle: file.axle.name.capitalize, field: Typography.inside(field.label))
          InvalidEntry::FieldError.new(field: "axles.#{file.axle.id}", code: "missing", message:)
        end

        def impossible(file, works)
          because = @scoping.impossible(file, works) or return
          InvalidEntry::FieldError.new(field: "axles.#{file.axle.id}", code: "conflict", message: because)
        end

        def lifts(bleed)
          in_order = ->(corners) { Core::Planning::BleedOrder.call(corners, **bleed.slice(:order, :near)) }
          Core::Planning::Lifts.new(joined: @knowledge.scope["joined"], bleed_order: in_order)
        end

        # An axle nothing is wanted of any more, and that is put together, is part of the job.
        def with_axles_at_hand(setups, lifts)
          others = lifts.flat_map(&:corners).reject { |corner| setups.any? { |setup| setup.axle == corner.axle } }
          setups + others.group_by(&:axle).map { |axle, corners| setup_of(axle, corners) }
        end

        def setup_of(axle, corners)
          Core::Planning::Lifts::Setup.new(
            axle:,
            sides: corners.map(&:side),
            configuration:
              corners
                .first
                .configuration
                .except("lifts", "sensors")
                .merge("work" => corners.flat_map { |corner| corner.configuration["work"] }.uniq),
            sensors: corners.select { |corner| corner.configuration["sensors"] }.map(&:side)
          )
        end
      end
    end
  end
end
