# frozen_string_literal: true

module Graver
  module Knowledge
    # Fasteners an owner may name that the files do not know: the first is written there as own_1, the others are made
    # like it, and each is asked for once the one before it has a name.
    module OwnFasteners
      MOST = 8
      FIRST = /\Aown_1(?!\d)/

      module_function

      # contents: { file name => parsed content } -> the same with own_2 to own_8
      def call(contents)
        data = contents.fetch("brake_data.yml")
        places =
          data.fetch("places").flat_map { |name, place| first?(name) ? numbered([name, place]) : [[name, place]] }
        lists = %w[procedures/facts.yml steps/strip.yml steps/rebuild.yml fasteners.yml]
        contents.merge(
          "brake_data.yml" => {
            **data,
            "places" => places.to_h,
            "fields" => data.fetch("fields").then { |fields| with_others(fields, "fastener") }
          },
          **lists.to_h { |file| [file, with_others(contents.fetch(file), "id")] },
          "procedures/hazards.yml" => contents.fetch("procedures/hazards.yml").map { |entry| naming_all(entry) }
        )
      end

      def first?(name) = name.to_s.match?(FIRST)

      # Every run of entries whose `key` begins with own_1, followed by its like. In the others, what names one names
      # all.
      def with_others(entries, key)
        entries
          .chunk_while { |one, other| first?(one[key]) && first?(other[key]) }
          .flat_map do |run|
            next run.map { |entry| naming_all(entry) } unless first?(run.first[key])

            numbered(run).flat_map { |each| after_the_last(each) }
          end
      end

      def numbered(entry) = (1..MOST).map { |number| renamed(entry, number) }

      def renamed(value, number)
        case value
        when Hash
          value.to_h { |key, each| [renamed(key, number), renamed(each, number)] }
        when Array
          value.map { |each| renamed(each, number) }
        when String
          value.gsub(/own_1(?!\d)/, "own_#{number}").gsub("fastener 1", "fastener #{number}")
        else
          value
        end
      end

      # Its name is asked for only where there is one before it.
      def after_the_last(run)
        run.map do |field|
          number = field["key"]&.[](/\Aown_(\d)\.name\z/, 1).to_i
          number > 1 ? { **field, "where" => { "own_#{number - 1}" => ["named"] } } : field
        end
      end

      # Lists of an entry that name the first name all of them.
      def naming_all(entry)
        entry.transform_values do |value|
          next value unless value.is_a?(Array) && value.any? { |each| each.is_a?(String) && first?(each) }

          value.flat_map { |each| first?(each) ? numbered(each) : [each] }
        end
      end
    end
  end
end
