# frozen_string_literal: true

require "numo/narray"

module Graver
  module Core
    module Wear
      # What may become of an axle: a fixed number of ways on from what the filter believes, each with its own rates,
      # thicknesses, drift and changes still to come, followed until every component has met the limit.
      #
      # components    ids, in the order of the rows below
      # thickness_mm  [component, future] now; log_rates likewise, logarithm of mm per km now
      # lives_km      [component, future] distance to the limit, 0 when it is already passed
      class LifeSimulation
        COUNT = 600
        STEPS = 18
        # The first step as a share of the shortest middle life, the furthest point in longest ones.
        NEAREST = 0.06
        FURTHEST = 10.0
        LEAST_ABOVE_MM = 0.3
        LEAST_LEFT_MM = 1e-6
        MOST_COMPONENTS = 4
        # Which rows of the draws stand for what.
        WEAR_ROW = 3 + (2 * MOST_COMPONENTS)
        SIZE_ROW = WEAR_ROW + MOST_COMPONENTS
        COMMON_ROW = SIZE_ROW + 1 + MOST_COMPONENTS
        MATE_ROW = COMMON_ROW + 1
        DRIFT_ROW = MATE_ROW + MOST_COMPONENTS
        KIND_ROW = 1 + MOST_COMPONENTS
        QUIET_ROW = 2 * KIND_ROW
        NUMBERS = Numo::DFloat::Math

        attr_reader :components, :thickness_mm, :log_rates, :lives_km, :limit_mm

        # The draws are the same for every axle, and made once.
        def self.normals = @normals ||= LatinHypercube.normal(DRIFT_ROW + STEPS, COUNT)
        def self.chances = @chances ||= LatinHypercube.chances(QUIET_ROW + 1, COUNT)

        # Hypotheses (as of now), Prior, the limit in mm; components: those that are on.
        def self.of(hypotheses, prior, limit_mm, components) = new(Start.drawn(hypotheses, components), prior, limit_mm)

        # start: Start.
        def initialize(start, prior, limit_mm)
          @start = start
          @prior = prior
          @limit_mm = limit_mm
          @components = start.components
          @thickness_mm = start.thickness_mm
          @log_rates = start.lasting + start.drift
          mates
          follow
          freeze
        end

        # What the owner may suppose: another limit, every rate `factor` times what it is, components (`evened`) that
        # wear as their mates do again, and new parts of `new_mm` all round.
        def supposing(limit_mm: @limit_mm, factor: 1.0, evened: [], new_mm: nil)
          self.class.new(@start.supposing(factor, evened, new_mm), @prior, limit_mm)
        end

        # Where the limit is most likely passed already: the middle distance driven since, km; nil otherwise.
        def passed_since_km
          ago = ((limit_mm - thickness_mm) / NUMBERS.exp(log_rates)).max(axis: 0)
          ago.median if ago.median.positive?
        end

        # Share of the futures in which a component is at or under a thickness now.
        def chance_below(component, limit_mm)
          thickness_mm[components.index(component), true].le(limit_mm).count.fdiv(COUNT)
        end

        def now(at) = { mean_mm: thickness_mm[at, true].mean, sd_mm: thickness_mm[at, true].stddev }

        # Wear rates of a component at 10, 50 and 90 %, mm per 1,000 km
        def rates(at)
          sorted = log_rates[at, true].sort
          [0.1, 0.5, 0.9].map { |probability| 1000 * Math.exp(sorted[(probability * (COUNT - 1)).round]) }
        end

        # The first component's life in each future, km.
        def first_km = lives_km.min(axis: 0)

        def life_km(component) = lives_km[components.index(component), true]

        # Where futures begin: lasting logarithms of rates and thicknesses [component, future], drift and its kind
        # [future].
        Start =
          Struct.new(:components, :lasting, :thickness_mm, :drift, :drift_sd, :drift_km, :quiet, keyword_init: true) do
            # Futures are shared out to the suppositions by weight, then each unknown is drawn.
            def self.drawn(hypotheses, components)
              cells = share_out(hypotheses.weights.to_a)
              values = unknowns(hypotheses, cells)
              rows = ->(places) { values[places, true] }
              lasting =
                rows.call(components.map { |component| hypotheses.deviation(component) }) +
                  values[Hypotheses::BASE, true]
              thickness_mm = rows.call(components.map { |component| hypotheses.thickness(component) }).clip(0.0, nil)
              new(
                components:,
                lasting:,
                thickness_mm:,
                drift: values[Hypotheses::DRIFT, true].dup,
                drift_sd: hypotheses.drift_sd[cells].dup,
                drift_km: hypotheses.drift_km[cells].dup,
                quiet: hypotheses.quiet[cells].dup
              )
            end

            def supposing(factor, evened, new_mm)
              other = dup
              other.lasting = lasting + Math.log(factor)
              odd, even = components.each_index.partition { |at| evened.include?(components[at]) }
              odd.each { |at| other.lasting[at, true] = other.lasting[even, true].mean(axis: 0) } if even.any?
              other.thickness_mm = (thickness_mm * 0.0) + new_mm if new_mm
              other
            end

            # Systematic sampling: as near to weight x COUNT as whole numbers go.
            def self.share_out(weights)
              total = 0.0
              upto = weights.map { |weight| [(((total += weight) * COUNT) + 0.5).floor, COUNT].min }
              upto[-1] = COUNT
              Numo::Int32.cast([0, *upto].each_cons(2).with_index.flat_map { |(from, to), at| [at] * (to - from) })
            end

            def self.unknowns(hypotheses, cells)
              root = root_of(hypotheses.covariance)[true, true, cells]
              hypotheses.mean[true, cells] +
                (root * LifeSimulation.normals[0...hypotheses.size, true][:new, true, true]).sum(axis: 1)
            end

            # Cholesky factors of all covariances at once; an unknown that is certain has a row of zeros.
            def self.root_of(covariance)
              size = covariance.shape.first
              root = Numo::DFloat.zeros(*covariance.shape)
              size.times do |column|
                rest = covariance[column..-1, column, true].dup
                if column.positive?
                  rest -=
                    (root[column..-1, 0...column, true] * root[column, 0...column, true][:new, true, true]).sum(axis: 1)
                end
                root[column..-1, column, true] = rest / NUMBERS.sqrt(rest[0, true].clip(1e-12, nil)) *
                  (rest[0, true] > 1e-11)
              end
              root
            end
          end

        private

        def follow
          above = thickness_mm - limit_mm
          @left = blur(above)
          @lasting = @start.lasting
          @drift = @start.drift
          @gone = Numo::DFloat.zeros(COUNT)
          @lives_km = @left * 0.0
          changes = changes_to_come
          steps(above).each_with_index { |km, number| step(km, number, changes) }
        end

        # Wear comes in gamma increments: what that adds by the time the limit is met, drawn once. What is above the
        # limit now stays above it: a component has passed its limit in the same futures for the pad and for the
        # axle.
        def blur(above)
          own = self.class.normals[WEAR_ROW...(WEAR_ROW + components.length), true]
          common = self.class.normals[COMMON_ROW, true]
          normals = (own * Math.sqrt(1 - @prior.common_increment)) + (common * Math.sqrt(@prior.common_increment))
          blurred = above + (NUMBERS.sqrt(above.clip(0.0, nil) * @prior.increment_mm) * normals)
          standing = Numo::DFloat.cast(above.gt(0.0))
          (blurred * (1 - standing)) + (blurred.clip(LEAST_LEFT_MM, nil) * standing)
        end

        # Distances of the steps, growing evenly so that near ends are met as finely as far ones.
        def steps(above)
          middles = (above.clip(LEAST_ABOVE_MM, nil) / NUMBERS.exp(log_rates)).median(axis: 1)
          first = middles.min * NEAREST
          growth = (middles.max * FURTHEST / first)**(1.0 / (STEPS - 1))
          (0...STEPS).map { |at| first * (growth**at) }.each_cons(2).map { |one, other| other - one }.unshift(first)
        end

        # Changes still to come: [share of a life after which, by what logarithm] for the axle and for each component,
        # and what each does to its mate.
        def changes_to_come
          after, size, = change_to_come(@prior.axle_changes, 1.0, 0)
          own =
            components.each_with_index.map do |component, at|
              change_to_come(@prior.seizures, @prior.seizure_weights.fetch(component, 0.0), at + 1)
            end
          { whole: [after, size], own: own.transpose.map { |rows| Numo::DFloat.vstack(rows) } }
        end

        # Of several kinds of change, each future meets the one its own chance picks.
        def change_to_come(kinds, weight, row)
          shares = kinds.map { |kind| kind[:per_life] * weight }
          total = [shares.sum, 1e-9].max
          pick = self.class.chances[KIND_ROW + row, true]
          upto = 0.0
          size, mate = pick * 0.0, pick * 0.0
          kinds.zip(shares) do |kind, share|
            from, upto = upto, upto + (share / total)
            mine = Numo::DFloat.cast((pick >= from) & (pick < upto))
            size += mine * drawn(kind, :log_mean, :log_sd, SIZE_ROW + row)
            mate += mine * drawn(kind, :mate_log_mean, :mate_log_sd, MATE_ROW + row - 1) if kind.key?(:mate_log_mean)
          end
          times = @prior.quiet.fetch(row.zero? ? :times : :pin_times)
          [NUMBERS.log(1 - self.class.chances[row, true]) / (often(times) * -total), size, mate]
        end

        # How many times as often as on a lively axle things happen, per future; times: on a quiet one.
        def often(times)
          quiet = Numo::DFloat.cast(self.class.chances[QUIET_ROW, true] < @start.quiet)
          1 - (quiet * (1 - times))
        end

        def drawn(kind, mean, spread, row) = kind[mean] + (self.class.normals[row, true] * kind[spread])

        def step(km, number, changes)
          drift_on(km, number)
          before = @gone
          @gone += NUMBERS.exp((@lasting.sum(axis: 0) / components.length) + @drift) * (km / @prior.life_mm)
          as_before = NUMBERS.exp(@lasting + @drift)
          happen(before, changes)
          # what changes on a step does so half way, on average
          worn = (as_before + NUMBERS.exp(@lasting + @drift)) * (km / 2)
          @lives_km += (@left / worn).clip(0.0, 1.0) * km
          @left -= worn
        end

        def happen(before, changes)
          after, size = changes[:whole]
          moved = @lasting + (size * Numo::DFloat.cast((after > before) & (after <= @gone)))
          after, size, mate = changes[:own]
          now = Numo::DFloat.cast((after > before) & (after <= @gone))
          moved += size * now
          mates.each { |at, other| moved[other, true] += mate[at, true] * now[at, true] }
          @lasting = moved
        end

        # [[place, place of the other one of its corner], ...]
        def mates
          @mates ||=
            components.each_with_index.filter_map do |component, at|
              (other = Mates.of(component, components)) && [at, components.index(other)]
            end
        end

        def drift_on(km, number)
          kept = NUMBERS.exp(-km / @start.drift_km)
          @drift =
            (@drift * kept) +
              (@start.drift_sd * NUMBERS.sqrt(1 - (kept**2)) * self.class.normals[DRIFT_ROW + number, true])
        end
      end
    end
  end
end
