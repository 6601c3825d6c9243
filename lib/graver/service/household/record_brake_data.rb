# frozen_string_literal: true

module Graver
  module Service
    module Household
      # Saves brake data of an axle; reports every fault of every entry at once and saves all or nothing.
      class RecordBrakeData
        # New must be more than machine-to, and that more than discard; a drum grows.
        ORDER = [
          %w[rotor.new_thickness rotor.machine_to_thickness],
          %w[rotor.machine_to_thickness rotor.discard_thickness],
          %w[rotor.new_thickness rotor.discard_thickness],
          %w[pad.new_thickness pad.discard_thickness],
          %w[pad.new_thickness pad.service_limit],
          %w[lining.new_thickness lining.discard_thickness],
          %w[lining.new_thickness lining.service_limit],
          %w[drum.maximum_diameter drum.machine_to_diameter],
          %w[drum.machine_to_diameter drum.new_diameter],
          %w[drum.maximum_diameter drum.new_diameter],
          %w[shoe.new_thickness shoe.discard_thickness],
          %w[parking_brake.clicks_most parking_brake.clicks_least]
        ].freeze
        KIND = "caliper.kind"
        # "I looked and could not find it" is an answer too.
        UNKNOWN = "unknown"

        def initialize(context)
          @context = context
          @catalogue = context.knowledge.brake_data
        end

        # entries: [{ key:, value: text or nil, unit:, source:, chosen: }]; chosen: this one counts, whatever other
        # sources say; a value of nil takes one back, with the source "unknown" it says that it cannot be found. Raises
        # InvalidEntry, NotFound.
        def call(axle_id, entries)
          file = Household::AxleRecords.new(@context).find(axle_id)
          check(file, entries)
          @context.store.transaction do
            entries
              .group_by { |entry| home(file, entry[:key]) }
              .each do |axle, mine|
                @context.store.brake_data.add(axle, mine.map { |entry| row(entry) }, at: @context.now)
              end
          end
        end

        private

        def check(file, entries)
          faults = entries.each_with_index.flat_map { |entry, at| faults(file, entry, at) }
          faults += order(file, entries) + angles(file, entries) + stretched(file, entries)
          raise InvalidEntry, faults if faults.any?

          refuse_breaking(file, entries)
          refuse_midway(file, entries)
        end

        # Discs don't become drums while they are apart: the job goes by what it found when it began.
        def refuse_midway(file, entries)
          at = entries.index { |entry| entry[:key] == KIND } or return
          return if file.with_data({ KIND => datum(entries[at]) }).brake_kind.brakes == file.brake_kind.brakes
          return unless under_way?(file)

          raise InvalidEntry.of("entries.#{at}.value", "conflict", Message.of("faults.kind_in_job"))
        end

        def under_way?(file)
          jobs = @context.store.jobs.of(file.vehicle.axles.map(&:id))
          jobs.any? { |job| job.state == "in_progress" && job.axle_ids.include?(file.axle.id) }
        end

        # Values of the whole vehicle are kept with its first axle.
        def home(file, key) = @catalogue.vehicle_wide?(key) ? file.vehicle.axles.first.id : file.axle.id

        def row(entry)
          unless entry[:value]
            return { key: entry[:key], value: nil, unit: nil, source: entry[:source] == UNKNOWN ? UNKNOWN : nil }
          end

          {
            key: entry[:key],
            value: entry[:value].strip,
            unit: entry[:unit],
            source: entry[:source],
            chosen: entry[:chosen] || false
          }
        end

        def faults(file, entry, at)
          if entry[:value].nil?
            unless @catalogue.field(entry[:key])
              raise InvalidEntry.of(
                      "key",
                      "unknown_key",
                      Message.of("faults.unknown_key", key: entry[:key].to_s[0, 40])
                    )
            end
          else
            @catalogue.check(entry[:key], entry[:value], entry[:unit], entry[:source], file.vehicle.kind)
          end
          []
        rescue InvalidEntry => e
          e.under("entries.#{at}").faults
        end

        # New data of a part must leave the readings of it on file possible.
        def refuse_breaking(file, entries)
          known = file.unusable.map(&:ref)
          after = file.with_data(entries.to_h { |entry| [entry[:key], datum(entry)] })
          # a correction of the brake's kind stands: what was read of the other kind is named, and doesn't count
          broken = after.unusable.reject { |each| known.include?(each.ref) || after.of_other_brake?(each.row) }
          return if broken.empty?

          at = entries.index { |entry| entry[:key].start_with?("pad.") } || 0
          message =
            Household::ReadingsOnFile.new(@context.store).refusal(broken.map { |each| [each.inspection, each.row] })
          raise InvalidEntry.of("entries.#{at}.value", "breaks_readings", message)
        end

        def datum(entry)
          entry[:value] && Storage::BrakeDatum.new(**row(entry).slice(:key, :value, :unit, :source), recorded_at: nil)
        end

        # Checks the order of new values and those on file.
        def order(file, entries)
          ORDER.filter_map do |more, less|
            at = entries.index { |entry| [more, less].include?(entry[:key]) } or next
            high, low = value_after(file, entries, more), value_after(file, entries, less)
            next unless high && low && high <= low

            labels = [more, less].map { |key| Typography.inside(@catalogue.field(key).label) }
            InvalidEntry::FieldError.new(
              field: "entries.#{at}.value",
              code: "order",
              message:
                Message.of("faults.must_exceed", more: labels[0], high: high.to_f, less: labels[1], low: low.to_f)
            )
          end
        end

        # A further angle says nothing without the torque it starts from.
        def angles(file, entries)
          entries.each_with_index.filter_map do |entry, at|
            fastener = entry[:value] && entry[:key].to_s[/\A(\w+)\.angle\z/, 1] or next
            next if value_after(file, entries, "#{fastener}.torque")

            InvalidEntry::FieldError.new(
              field: "entries.#{at}.value",
              code: "angle_alone",
              message: Message.of("faults.angle_alone")
            )
          end
        end

        # A bolt tightened by an angle has stretched and can't be reused.
        def stretched(file, entries)
          entries.each_with_index.filter_map do |entry, at|
            fastener = entry[:key].to_s[/\A(\w+)\.(?:single_use|angle)\z/, 1] or next
            use =
              entries.find { |each| each[:key] == "#{fastener}.single_use" }&.fetch(:value) ||
                file.choice("#{fastener}.single_use")
            next unless entry[:value] && use == "reused" && value_after(file, entries, "#{fastener}.angle")

            InvalidEntry::FieldError.new(
              field: "entries.#{at}.value",
              code: "stretched",
              message: Message.of("faults.stretched")
            )
          end
        end

        def value_after(file, entries, key)
          entry = entries.find { |candidate| candidate[:key] == key }
          if entry
            return(
              entry[:value] && @catalogue.check(key, entry[:value], entry[:unit], entry[:source], file.vehicle.kind)
            )
          end

          datum = file.data[key]
          datum && @catalogue.check(key, datum.value, datum.unit, datum.source, file.vehicle.kind)
        rescue InvalidEntry
          nil
        end
      end
    end
  end
end
