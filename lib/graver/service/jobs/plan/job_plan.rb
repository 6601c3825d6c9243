# frozen_string_literal: true

module Graver
  module Service
    module Jobs
      # The complete plan of a job: its work, its order, parts and tools, cost, and what is still missing.
      class JobPlan
        # field: knowledge entry; blocks: the job is not ready without it
        Gap = Core::Value.define(:file, :field, :blocks)
        # ordered: Jobs::Steps::Ordered; torque: [Jobs::Torque::Set]; gaps: [Gap]; impossible: [[AxleRecord,
        # sentence]]; halts: [Jobs::Scope::Halt] of a job in progress; places: knowledge entries of what goes where;
        # notes: { step id => [note of an earlier job] }; photos: [Storage::Photo] of the vehicle; stops: [sentence] why
        # the vehicle of a job in progress must not be driven
        Plan =
          Core::Value.define(
            :overview,
            :job,
            :scope,
            :ordered,
            :torque,
            :parts,
            :consumables,
            :tools,
            :fluid,
            :money,
            :gaps,
            :impossible,
            :places,
            :notes,
            :photos,
            :readiness,
            :halts,
            :stops
          ) do
            # -> id of an axle of the vehicle by its name
            def axle_id(name) = scope.axles.find { |axle| axle.name == name }.file.axle.id
            # In the owner's distances and words: those of an axle where it is named, else of all that are worked on.
            def wording(knowledge, axle = nil)
              named = scope.axles.select { |each| each.name == axle }
              files = [named, scope.included, scope.axles.first(1)].find(&:any?).map(&:file)
              terms = knowledge.brake_data.terms_of(files.map(&:place))
              Base::Wording.new(overview.vehicle.distance_unit, { **terms, **own_names(files.first) })
            end
            # Fasteners of the owner's own, by the names he gave them.
            def own_names(file)
              named = file.data.select { |key, _| key.match?(/\Aown_\d\.name\z/) }
              named.to_h { |key, datum| ["your own fastener #{key[/\d/]}", "“#{datum.value}”"] }
            end
            # Open symptoms -> [CurrentConditions::Observation]
            def symptoms = overview.seen.select { |seen| seen.item.id == "symptom" }
            # Whether the job can begin.
            def ready? = ordered.placed && readiness.none?(&:open?)
          end

        def initialize(context)
          @context = context
          @knowledge = context.knowledge
        end

        # -> Plan of the job on file with this id. Raises NotFound.
        def find(id) = of_job(@context.store.jobs.find(id))

        # A job on file. Raises NotFound.
        def of_job(job)
          call(Overview::VehicleOverviews.new(@context).find_with(job.axle_id), job.axle_id, job)
        end

        # The plan of a job that would begin with an axle. Raises NotFound.
        def proposed(axle_id)
          call(Overview::VehicleOverviews.new(@context).find_with(axle_id), axle_id, nil)
        end

        # The order of steps alone, without forecasts: Jobs::Steps::Ordered. For ticks and timing.
        def ordered(job)
          return of_basis(job) if job.basis

          @context.standing([:ordered, job.axle_id, job.works, job.approaches, job.plan_edits]) { order_of(job) }
        end

        # Halts from readings in the middle of a job -> [Jobs::Scope::Halt], without shopping.
        def halts(job)
          job.state == "in_progress" ? @context.standing([:halts, job.axle_id, job.scope]) { halts_of(job) } : []
        end

        # The torque card of a job alone -> [Jobs::Torque::Set]
        def torque(job)
          files = Household::AxleRecords.new(@context).beside(job.axle_id)
          torque_of(ordered(job), job, files)
        end

        # Parts to buy for findings that the job does not deal with -> [label]
        def missing(plan)
          found =
            plan.scope.included.to_h do |axle|
              [
                axle.file.axle.id.to_s,
                [*axle.rotors[:proposed], *UnaddressedFindings.new(@knowledge.scope_rules, axle).condemning.values].uniq
              ]
            end
          wanted = found.reject { |_, works| works.empty? }
          return [] if wanted.empty?

          buying(plan, wanted)
        end

        private

        def torque_of(ordered, job, files)
          records = KeptFasteners.new(@knowledge).records(job, files)
          Jobs::Torque.new(@context).call(ordered, records.to_h { |file| [file.axle.name, file] })
        end

        def of_basis(job)
          @context.standing([:of_basis, job.id, job.basis.fetch("event"), job.plan_edits]) do
            Jobs::Steps.new(@knowledge).of_basis(Basis.new(@knowledge, job.basis), job.plan_edits)
          end
        end

        def scoping = @scoping ||= Scope.new(@context)

        def order_of(job)
          files = Household::AxleRecords.new(@context).beside(job.axle_id)
          works = files.to_h { |file| [file, scoping.known(job.works.fetch(file.axle.id, []))] }
          order(works.select { |_, chosen| chosen.any? }, job)
        end

        def halts_of(job)
          scoping.halts(Overview::VehicleOverviews.new(@context).find_with(job.axle_id), job.axle_id, job.scope)
        end

        def vehicle_of(job) = Household::AxleRecords.new(@context).vehicle_with(job.axle_id)

        # { AxleRecord => works } -> Ordered
        def order(works, job)
          return of_basis(job) if job&.basis

          setups = works.map { |file, chosen| scoping.setup(file, chosen, job&.approaches || {}) }
          undecided =
            works.any? do |file, chosen|
              scoping.impossible(file, chosen) || scoping.gaps(file, chosen).any? { |_, decides| decides }
            end
          Jobs::Steps.new(@knowledge).call(
            setups,
            works.keys.first,
            possible: works.any? && !undecided,
            plan_edits: job&.plan_edits || {}
          )
        end

        def call(overview, axle_id, job)
          on_file = job && (job.scope || { "axles" => { axle_id.to_s => ["pads"] } })
          scope = scoping.call(overview, axle_id, on_file, job&.approaches || {})
          works = scope.included.to_h { |axle| [axle.file, axle.works] }
          ordered = order(works, job)
          works = with_axles_at_hand(works, scope, ordered)
          torque = torque_of(ordered, job, works.keys)
          lists = lists(overview, scope, ordered, torque, works, job)
          plan =
            Plan.new(
              overview:,
              job:,
              scope:,
              ordered:,
              torque:,
              **lists,
              gaps: gaps(works, ordered),
              impossible:
                works.filter_map { |file, chosen| (because = scoping.impossible(file, chosen)) && [file, because] },
              places: LubricationChart.new(@knowledge).call(ordered, torque),
              notes: notes(overview, job),
              photos: @context.store.photos.of_vehicle(overview.vehicle.id),
              readiness: [],
              halts: [],
              stops: []
            )
          return plan if job&.over?

          plan.with(
            readiness: Jobs::Readiness.new(@context).call(plan, job),
            halts: with_purchases(plan),
            stops: stops(overview, scope, job)
          )
        end

        def stops(overview, scope, job)
          if %w[ready in_progress].include?(job&.state)
            Condemned.new(@context).of(overview, scope, job).map(&:text).uniq
          else
            []
          end
        end

        # An axle with no work left still counts while it is being put together.
        def with_axles_at_hand(works, scope, ordered)
          names = ordered.setups.map(&:axle)
          at_hand = scope.axles.select { |axle| names.include?(axle.name) && !works.key?(axle.file) }
          works.merge(at_hand.to_h { |axle| [axle.file, []] })
        end

        # Each halt with what it needs beyond the plan's shopping.
        def with_purchases(plan)
          return [] unless plan.job&.state == "in_progress"

          scoping
            .halts(plan.overview, plan.job.axle_id, plan.job.scope)
            .map { |halt| halt.with(buy: to_buy(plan, halt)) }
        end

        def to_buy(plan, halt)
          works = {
            **plan.scope.included.to_h { |axle| [axle.file.axle.id.to_s, axle.works] },
            halt.axle.file.axle.id.to_s => halt.works
          }
          buying(plan, works)
        end

        # works: { "axle id" => [work] } of a job planned from scratch -> [label] of parts beyond the plan
        def buying(plan, works)
          scope = { "axles" => works, "reasons" => plan.job.scope&.fetch("reasons", {}) || {} }
          mended = call(plan.overview, plan.job.axle_id, plan.job.with(state: "draft", scope:, basis: nil)).parts
          known = plan.parts.map(&:id)
          needed = mended.reject { |part| known.include?(part.id) || part.line.optional || part.state == "shelf" }
          needed.map { |part| "#{part.line.count || "?"} × #{part.line.label}" }
        end

        def files(works) = works.keys.to_h { |file| [file.axle.name, file] }

        def lists(overview, scope, ordered, torque, works, job)
          shopping = Jobs::Shopping.new(@context)
          fluid = Jobs::Fluid.new(@context).call(overview, scope, ordered)
          lists = {
            parts: shopping.parts(ordered, files(works), torque, job),
            tools: shopping.tools(ordered, torque, job),
            consumables: shopping.consumables(ordered, fluid&.plan, torque, job)
          }
          money =
            Jobs::Money.new(@context, hours_of: ->(earlier) { ordered(earlier).lifts }).call(
              overview,
              scope,
              ordered,
              lists,
              job,
              overview.finished
            )
          { **lists, fluid:, money: }
        end

        def jobs(overview) = @context.store.jobs.of(overview.vehicle.axles.map(&:id))

        # Brake data the scope needs, and the size of every fastener that is undone or tightened. Only what the order of
        # steps cannot do without holds the job up.
        def gaps(works, ordered)
          works.flat_map do |file, chosen|
            asked = scoping.gaps(file, chosen).map { |field, decides| Gap.new(file:, field:, blocks: decides) }
            asked + drives(file, ordered).map { |field| Gap.new(file:, field:, blocks: false) }
          end
        end

        def drives(file, ordered)
          ids =
            ordered.concerning(file.axle.name).flat_map { |placed| placed.step.fasteners + placed.step.tighten }.uniq
          fields = @knowledge.brake_data.applying(file.place)
          fields.select do |field|
            ids.include?(field.fastener) && field.key.end_with?(".drive", ".count") && !file.data.key?(field.key)
          end
        end

        # Notes from earlier jobs of the vehicle at each step, newest first.
        def notes(overview, job)
          earlier = jobs(overview).reject { |each| job && each.id >= job.id }
          earlier.reverse.flat_map(&:notes).group_by { |note| note["step"] }
        end
      end
    end
  end
end
