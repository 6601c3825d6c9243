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

        # Parts of one axle began together: what one is off from another, as a share of the spread of where they begin.
        APART = 0.1

        module_function

        # History -> [Epoch]; those of one odometer stay apart where old pads were read and new ones fitted there.
        def call(history)
          rows =
            history.sets.each_with_index.flat_map do |set, number|
              set.flat_map { |component, fitting| rows(component, fitting, number, history.limit_mm) }
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

        def rows(component, fitting, number, limit_mm)
          readings =
            fitting.observations.map do |observation|
              [observation.distance_km, number, :read, [component, observation]]
            end
          start = fitting.fitted_km || readings.first&.first
          return [] unless start

          chosen = fitting.fitted_km && fitting.choices ? [[start, number, :choices, fitting.choices]] : []
          [[start, number, :fit, [component, start_of(fitting, limit_mm)]], *chosen, *readings]
        end

        def start_of(fitting, limit_mm)
          return fitting.new if fitting.fitted_km

          spread_mm = [(fitting.new.value_mm - limit_mm).abs, 1.0].max
          Guess.new(
            value_mm: (fitting.new.value_mm + limit_mm) / 2.0,
            standard_uncertainty_mm: spread_mm,
            shared_mm: spread_mm * Math.sqrt(1 - (APART**2))
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

        private_class_method :moved, :beside, :rows, :start_of, :epoch
      end
    end
  end
end
