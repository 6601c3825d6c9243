# frozen_string_literal: true

module Graver
  module Core
    module Wear
      # Orders an axle's log entries: which readings belong to which set, and how thick each set was when new.
      class HistoryBuilder
        # Limits on the services of the current set, of each earlier one, and on the sets followed: the newest half of
        # the limit, and as many spread over the earlier ones. No owner reads as often; a log made by machine must not
        # stop the forecast.
        MOST_SERVICES = 14
        MOST_OF_EARLIER = 6
        MOST_SETS = 5
        # A position that is read seldom keeps at least so many of its readings.
        LEAST_OBSERVATIONS = 3

        # normalise: Measurement::Normalise; new_parts: { "pad" => { kind of vehicle, or nil: any other => {
        # typical_mm:, typical_sd_mm:, stated_sd_mm:, own_sd_mm: (parts of one box), unread_share:, steps_mm: (above the
        # limit, where a thickness that was not recorded is one of these; nil: any) } } }.
        def initialize(normalise, new_parts)
          @normalise = normalise
          @new_parts = new_parts
        end

        # entries of one part, PartSpecification, odometer in km; said: [Hearsay] of the pads, moved: [Movement],
        # kin: [WearRate] -> History. Entries may come in any order; those of one day and odometer keep theirs (old pads
        # read, then new ones fitted).
        def call(entries, specification, as_of_km:, said: [], moved: [], kin: [])
          ordered = in_order(entries.select { |entry| entry.part == specification.part })
          services = ordered.select(&:thickness?).map(&:odometer_km).uniq
          fittings =
            specification.components.to_h do |component|
              [component, fittings(component, ordered, services, specification)]
            end
          fittings = infer_unread(fittings, ordered, specification)
          sets = sets(fittings)
          History.new(
            sets:,
            said: specification.part == "pad" ? of_this_set(said, sets, as_of_km) : [],
            axle: specification.axle,
            kin:,
            limit_mm: specification.limit_mm,
            as_of_km:,
            freed: freed(entries, specification),
            movements: movements(moved, specification, as_of_km)
          )
        end

        private

        def new_part(specification)
          kinds = @new_parts.fetch(specification.part)
          kinds.fetch(specification.kind) { kinds.fetch(nil) }
        end

        # Only the newest of each kind: a counter, and a shop that sells brakes, are wrong the same way every time.
        def of_this_set(said, sets, as_of_km)
          from = sets.last.to_h.values.filter_map(&:fitted_km).max || 0.0
          here = said.select { |each| each.odometer_km > from && each.odometer_km <= as_of_km }
          here.group_by { |each| each.left_km.nil? }.values.map { |each| each.max_by(&:odometer_km) }
        end

        # Freeing pins or pistons at a corner concerns its pads and its rotor.
        def freed(entries, specification)
          entries
            .select { |entry| entry.event == "freed" }
            .map { |entry| [entry.odometer_km, at_corner(entry.side, specification)] }
        end

        def movements(moved, specification, as_of_km)
          known = moved.select { |each| each.odometer_km <= as_of_km }
          known.map { |each| [each.odometer_km, at_corner(each.side, specification), each.how] }
        end

        # side: nil for both
        def at_corner(side, specification)
          specification.components.select { |component| [nil, component.split("_").first].include?(side) }
        end

        def in_order(entries)
          return entries if entries.each_cons(2).all? { |one, other| follows?(one, other) }

          entries.each_with_index.sort_by { |entry, at| [entry.date, entry.odometer_km, at] }.map(&:first)
        end

        def follows?(one, other)
          one.date < other.date || (one.date == other.date && one.odometer_km <= other.odometer_km)
        end

        def fittings(component, entries, services, specification)
          groups = followed(concerning(entries, component).slice_before(&:renewal?).to_a)
          kept =
            groups.each_with_index.map do |group, at|
              fitting(group, services, specification, at + 1 == groups.length ? MOST_SERVICES : MOST_OF_EARLIER)
            end
          kept.select { |fitting| fitting.fitted_km || fitting.observations.any? }
        end

        # An unread position wears too, and the unread inner pad is the one that surprises: where others of its axle
        # were read it starts from the mean of their first readings, uncertain by a share of what has gone.
        def infer_unread(fittings, entries, specification)
          first = fittings.values.filter_map { |list| list.first&.observations&.first }
          return fittings if first.empty?

          mean = first.sum { |observation| observation.thickness.value_mm } / first.length
          gone = [new_thickness(entries.first, specification).value_mm - mean, 0.5].max
          guess =
            Measurement::Thickness.point(mean, gone * new_part(specification).fetch(:unread_share), assumed: ["unread"])
          start = Fitting.new(fitted_km: first.map(&:distance_km).min, new: guess, observations: [])
          fittings.transform_values { |list| list.empty? ? [start] : list }
        end

        def concerning(entries, component)
          side, pad = component.split("_")
          entries.select { |entry| (entry.side.nil? || entry.side == side) && (entry.pad.nil? || entry.pad == pad) }
        end

        # The newest sets, and the first, which an unread position starts from.
        def followed(groups) = groups.length <= MOST_SETS + 1 ? groups : [groups.first, *groups.last(MOST_SETS)]

        def fitting(group, services, specification, most)
          first = group.first
          read = group.select(&:thickness?)
          choices = choices(first, specification)
          Fitting.new(
            fitted_km: first.renewal? ? first.odometer_km : nil,
            new: choices ? one_of(choices, specification) : new_thickness(first, specification),
            choices:,
            measured: measured?(first, specification),
            observations: thinned(read, most_of(read, services, most)).map { |entry| observation(entry, specification) }
          )
        end

        # A share of the limit, as the position was read at a share of the axle's services meanwhile.
        def most_of(read, services, most)
          return most if read.length < LEAST_OBSERVATIONS

          first, last = read.map(&:odometer_km).minmax
          among = services.count { |km| km.between?(first, last) }
          [(most * read.length / among.to_f).ceil, LEAST_OBSERVATIONS].max
        end

        def thinned(entries, most)
          return entries if entries.length <= most

          newest = entries.last(most / 2)
          before = entries.first(entries.length - newest.length)
          spread = Array.new(most - newest.length) { |at| before[at * before.length / (most - newest.length)] }
          spread + newest
        end

        def observation(entry, specification)
          Observation.new(
            distance_km: entry.odometer_km,
            thickness: thickness(entry, specification),
            trust: entry.trust,
            affirmed: entry.affirmed,
            ref: entry.ref
          )
        end

        def thickness(entry, specification)
          return @normalise.event(entry.event) unless entry.event == "reading"

          @normalise.call(entry.reading, part(specification))
        end

        def new_thickness(entry, specification)
          return @normalise.call(entry.reading, part(specification)) if entry.renewal? && entry.reading

          known = new_part(specification)
          if specification.new_mm && entry.event != "resurfaced"
            return new_set(specification.new_mm, known.fetch(:stated_sd_mm), known, [])
          end

          new_set(
            specification.new_mm || known.fetch(:typical_mm),
            known.fetch(:typical_sd_mm),
            known,
            ["new_thickness"]
          )
        end

        def measured?(entry, specification)
          return false unless entry.renewal?

          !entry.reading.nil? || (entry.event == "fit" && !specification.new_mm.nil?)
        end

        # Nominal thicknesses a new part can have had, or nil if it is known or unlimited.
        def choices(entry, specification)
          steps = new_part(specification)[:steps_mm]
          return if steps.nil? || specification.new_mm || specification.limit_mm.nil? || entry.event == "resurfaced"

          steps.map { |above| specification.limit_mm + above } unless entry.renewal? && entry.reading
        end

        # Their mean and spread.
        def one_of(choices, specification)
          middle = choices.sum / choices.length
          spread = Math.sqrt(choices.sum { |mm| (mm - middle)**2 } / choices.length)
          new_set(middle, spread, new_part(specification), ["new_thickness"])
        end

        # Parts of one box are alike: an unknown of one is an unknown of all.
        def new_set(value_mm, sd_mm, known, assumed)
          Measurement::Thickness.point(
            value_mm,
            sd_mm,
            assumed:,
            shared_mm: Measurement::TypeB.without(sd_mm, known.fetch(:own_sd_mm))
          )
        end

        def part(specification)
          Measurement::Normalise::Part.new(
            new_mm: specification.new_mm,
            backing_mm: specification.backing_mm,
            backing_uncertainty_mm: specification.backing_uncertainty_mm,
            limit_overall: specification.limit_overall,
            kind: specification.kind
          )
        end

        # Counted from the newest: a corner renewed alone starts its own fitting, the others keep theirs.
        def sets(fittings)
          depth = [fittings.values.map(&:length).max || 0, MOST_SETS].min
          (1..depth).reverse_each.map do |back|
            fittings.filter_map { |component, list| [component, list[-back]] if list.length >= back }.to_h
          end
        end
      end
    end
  end
end
