# frozen_string_literal: true

module Graver
  module Core
    module Wear
      # An axle's history in the order of the odometer: at each epoch what went on and what was read there.
      #
      # Epoch: km; fits { component => Thickness when it went on, or Guess }; choices [mm] of what went on, or nil;
      # readings [[component, Observation]]; movements [[[component], how]]; freed [component]; said [Hearsay].
      module LogEpochs
        Epoch = Value.define(:km, :fits, :choices, :readings, :movements, :freed, :said)
        # Where a component with no known fitting begins: somewhere between new and its limit.
        Guess = Value.define(:value_mm, :standard_uncertainty_mm, :shared_mm)

        # Parts of one axle began together: what one is off from another, as a share of the spread of where they begin;
        # or, where they were first found further apart, as far as that. Nothing else says how they had worn till then.
        APART = 0.1

        module_function

        # History -> [Epoch]; those of one odometer stay apart where old pads were read and new ones fitted there.
        def call(history)
          rows =
            history.sets.each_with_index.flat_map do |set, number|
              found_apart_mm = found_apart_mm(set)
              set.flat_map do |component, fitting|
                rows(component, fitting, number, start_of(fitting, history.limit_mm, found_apart_mm))
              end
            end
          epochs =
            (rows + moved(history, rows) + beside(history))
              .group_by { |km, number, _| [km.to_f, number] }
              .sort_by(&:first)
          epochs.map { |(km, _), here| epoch(km, here) }
        end

        # With what was read first at the same place: the parts that were on till then.
        def moved(history, rows)
          history.movements.map do |km, *movement|
            number = rows.filter_map { |row| row[1] if row[0] == km }.min
            [km, number || history.sets.length, :moved, movement]
          end
        end

        # After whatever was read or fitted at the same place.
        def beside(history)
          last = history.sets.length
          history.freed.map { |km, components| [km, last, :freed, components] } +
            history.said.map { |said| [said.odometer_km, last, :said, said] }
        end

        # How far from each other the parts of a set with no known fitting were, where they were first read together.
        def found_apart_mm(set)
          first = set.values.reject(&:fitted_km).filter_map { |fitting| fitting.observations.first }
          together = first.group_by(&:distance_km).values
          together.map { |read| read.map { |each| each.thickness.value_mm }.minmax.reduce(:-).abs }.max || 0.0
        end

        def rows(component, fitting, number, beginning)
          readings =
            fitting.observations.map do |observation|
              [observation.distance_km, number, :read, [component, observation]]
            end
          start = fitting.fitted_km || readings.first&.first
          return [] unless start

          chosen = fitting.fitted_km && fitting.choices ? [[start, number, :choices, fitting.choices]] : []
          [[start, number, :fit, [component, beginning]], *chosen, *readings]
        end

        def start_of(fitting, limit_mm, found_apart_mm)
          return fitting.new if fitting.fitted_km

          spread_mm = [(fitting.new.value_mm - limit_mm).abs, 1.0].max
          shared_mm = spread_mm * Math.sqrt(1 - (APART**2))
          Guess.new(
            value_mm: (fitting.new.value_mm + limit_mm) / 2.0,
            standard_uncertainty_mm: Math.hypot(shared_mm, [APART * spread_mm, found_apart_mm / 2.0].max),
            shared_mm:
          )
        end

        def epoch(km, rows)
          of = ->(kind) { rows.select { |row| row[2] == kind }.map(&:last) }
          Epoch.new(
            km:,
            fits: of.call(:fit).to_h,
            choices: of.call(:choices).first,
            readings: of.call(:read),
            movements: of.call(:moved),
            freed: of.call(:freed).flatten.uniq,
            said: of.call(:said)
          )
        end

        private_class_method :moved, :beside, :found_apart_mm, :rows, :start_of, :epoch
      end
    end
  end
end
