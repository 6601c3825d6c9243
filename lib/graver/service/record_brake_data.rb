# frozen_string_literal: true

require_relative "axle_files"
require_relative "../core/errors"

module Graver
  module Service
    # Adds what the owner knows of an axle; every fault of every entry is reported at once and nothing is half saved.
    class RecordBrakeData
      def initialize(context)
        @context = context
      end

      # entries: [{ key:, value: text or nil (not known any more), unit:, source: }]. Raises InvalidEntry, NotFound.
      def call(axle_id, entries)
        file = AxleFiles.new(@context).find(axle_id)
        faults = entries.each_with_index.flat_map { |entry, at| faults(file, entry, at) }
        raise InvalidEntry, faults + thicknesses(file, entries) if faults.any? || thicknesses(file, entries).any?

        @context.store.transaction { @context.store.brake_data.add(axle_id, entries.map { |entry| row(entry) }, at: @context.now) }
      end

      private

      def row(entry) = { key: entry[:key], value: entry[:value]&.strip, unit: entry[:unit], source: entry[:source] }

      def faults(file, entry, at)
        catalogue = @context.knowledge.brake_data
        if entry[:value].nil?
          raise InvalidEntry.of("key", "unknown_key", "there is no brake data “#{entry[:key].to_s[0, 40]}”") unless catalogue.field(entry[:key])
        else
          catalogue.check(entry[:key], entry[:value], entry[:unit], entry[:source], file.vehicle.kind)
        end
        []
      rescue InvalidEntry => e
        e.under("entries.#{at}").faults
      end

      # New must be more than discard, over what is entered now and what is on file.
      def thicknesses(file, entries)
        %w[pad rotor].flat_map do |part|
          new_mm, discard_mm = ["#{part}.new_thickness", "#{part}.discard_thickness"].map { |key| length_after(file, entries, key) }
          at = entries.index { |entry| entry[:key].start_with?("#{part}.") && entry[:key].end_with?("_thickness") }
          next [] unless at && new_mm && discard_mm && new_mm <= discard_mm

          [InvalidEntry::Fault.new(field: "entries.#{at}.value", code: "order",
                                   message: "the new #{part} (#{new_mm.round(2)} mm) must be thicker than its least thickness (#{discard_mm.round(2)} mm)")]
        end
      end

      def length_after(file, entries, key)
        entry = entries.find { |candidate| candidate[:key] == key }
        return file.length_mm(key) unless entry

        entry[:value] && @context.knowledge.brake_data.check(key, entry[:value], entry[:unit], entry[:source], file.vehicle.kind)
      rescue InvalidEntry
        nil
      end
    end
  end
end
