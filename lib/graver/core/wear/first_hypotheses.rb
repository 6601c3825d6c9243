# frozen_string_literal: true

module Graver
  module Core
    module Wear
      # The beliefs about an axle before its first reading: every part of the prior's spread, with every hypothesis of
      # drift and errors, even or with one component odd from new.
      class FirstHypotheses
        # Centres of the prior's parts, in its standard deviations, and the rest of the spread within each.
        PARTS = [-2.4, -1.8, -1.2, -0.6, 0.0, 0.6, 1.2, 1.8, 2.4].freeze
        WITHIN = 0.45

        # A part of the spread of rates, a kind, and which component is odd from new (nil: none).
        Cell = Struct.new(:part, :kind, :share, :odd)

        private_constant :Cell

        # Prior; ids of the components; the most hypotheses kept
        def initialize(prior, components, most)
          @prior = prior
          @components = components
          @most = most
        end

        # axle: its name; kin: [WearRate] of the vehicle's other axles -> Hypotheses
        def call(axle, kin)
          # The start of every axle with these components.
          @prior
            .once([self.class, @components, @most]) { first }
            .dup
            .tap do |hypotheses|
              hypotheses.disturb(Hypotheses::BASE, 0.0, shift: offset_of(axle))
              kin.each { |pace| lean(hypotheses, axle, pace) }
            end
        end

        private

        # Axles of a vehicle share drivers and roads: part of the spread between vehicles is common to them
        # (`axles_alike`, a correlation of the logarithms). Turns the other axle's rate into a statement about this one
        # (regression of a bivariate normal, inverted).
        def lean(hypotheses, axle, pace)
          alike = @prior.axles_alike
          return unless alike.positive?

          away = pace.log_rate - pace.usual
          apart = (@prior.rate_log_sd**2) * (1 - (alike**2))
          spread = Math.sqrt(apart + (pace.log_sd**2)) / alike
          hypotheses.hear_rate(@prior.usual_log_rate(axle) + (away / alike), spread)
        end

        def middle = Math.log(@prior.rate_mm_per_1000km / 1000)
        def offset_of(axle) = @prior.axle_log_offset.fetch(axle, 0.0)

        def first
          cells =
            PARTS
              .product(kinds, [nil, *@components])
              .map do |part, (kind, share), odd|
                told = kind.dup
                told.history_hash += 100 * who(odd) if odd
                Cell.new(part, told, share, odd)
              end
          Hypotheses
            .new(
              @components,
              first_means(cells),
              first_variances(cells),
              cells.map { |cell| first_weight(cell) },
              cells.map(&:kind)
            )
            .tap { |hypotheses| hypotheses.prune(@most) }
        end

        # [[Hypotheses::Kind, share], ...]
        def kinds
          combined = @prior.drifts.product(@prior.errors, @prior.trends)
          combined.each_with_index.map do |(drift, error, trend), at|
            [
              Hypotheses::Kind.new(
                history_hash: at,
                drift_sd: drift[:log_sd],
                drift_km: drift[:km],
                error: error[:times],
                off: 0.0,
                trend: trend[:per_life],
                gone: 0.0,
                quiet: @prior.quiet[:share]
              ),
              drift[:share] * error[:share] * trend[:share]
            ]
          end
        end

        def first_weight(cell)
          odd = @prior.odd_from_new[:share]
          share = cell.odd ? odd * @prior.seizure_weights.fetch(cell.odd, 0.0) : 1 - odd
          (-0.5 * cell.part * cell.part / (1 - (WITHIN**2))) + Math.log(cell.share + 1e-30) + Math.log(share + 1e-12)
        end

        def first_means(cells)
          # what the prior says of rates is the mean over a life
          base = cells.map { |cell| middle + (cell.part * @prior.rate_log_sd) - (cell.kind.trend / 2) }
          deviations =
            @components.map do |component|
              cells.map { |cell| offset(component) + (cell.odd == component ? @prior.odd_from_new[:log_mean] : 0.0) }
            end
          none = [0.0] * cells.length
          [base, none, none, *deviations, *([none] * @components.length)]
        end

        def first_variances(cells)
          own = @prior.deviation_log_sd**2
          deviations =
            @components.map do |component|
              cells.map { |cell| own + (cell.odd == component ? @prior.odd_from_new[:log_sd]**2 : 0.0) }
            end
          none = [0.0] * cells.length
          spread = [(WITHIN * @prior.rate_log_sd)**2] * cells.length
          drifts = cells.map { |cell| cell.kind.drift_sd**2 }
          [spread, drifts, none, *deviations, *([none] * @components.length)]
        end

        # As ChangeTable#who has it.
        def who(component) = 2 + @components.index(component)
        def offset(component) = @prior.component_log_offset.fetch(component, 0.0)
      end
    end
  end
end
