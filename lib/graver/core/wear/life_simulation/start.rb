# frozen_string_literal: true

require "numo/narray"

module Graver
  module Core
    module Wear
      class LifeSimulation
        # Where futures begin: lasting logarithms of rates and thicknesses [component, future], drift and its kind
        # [future].
        Start =
          Struct.new(
            :components,
            :lasting,
            :thickness_mm,
            :drift,
            :drift_sd,
            :drift_km,
            :quiet,
            :trend,
            keyword_init: true
          ) do
            # Futures are shared out to the hypotheses by weight, then each unknown is drawn.
            def self.drawn(hypotheses, components)
              cells = share_out(hypotheses.weights.to_a)
              values = unknowns(hypotheses, cells)
              rows = ->(places) { values[places, true] }
              lasting =
                rows.call(components.map { |component| hypotheses.deviation(component) }) +
                  values[Hypotheses::BASE, true]
              parts = components.map { |component| hypotheses.thickness(component) }
              thickness_mm = (rows.call(parts) + centring(hypotheses, parts, cells, values)).clip(0.0, nil)
              new(
                components:,
                lasting:,
                thickness_mm:,
                drift: values[Hypotheses::DRIFT, true].dup,
                **kinds(hypotheses, cells)
              )
            end

            def self.kinds(hypotheses, cells)
              {
                drift_sd: hypotheses.drift_sd[cells].dup,
                drift_km: hypotheses.drift_km[cells].dup,
                quiet: hypotheses.quiet[cells].dup,
                trend: hypotheses.trend[cells].dup
              }
            end

            # What the draws' means are off by, so that a known thickness stays what it is.
            def self.centring(hypotheses, parts, cells, values)
              exact = (hypotheses.mean[parts, true] * hypotheses.weights[:new, true]).sum(axis: 1)
              (exact - values[parts, true].mean(axis: 1))[true, :new] + Numo::DFloat.zeros(parts.length, cells.length)
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
      end
    end
  end
end
