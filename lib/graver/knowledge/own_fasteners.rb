# frozen_string_literal: true

module Graver
  module Knowledge
    # Fasteners an owner may name that the files do not know: the first is written there as own_1, the others are made
    # like it, and each is asked for once the one before it has a name.
    module OwnFasteners
      MOST = 8

      module_function

      # contents: { file name => parsed content } -> the same with own_2 to own_8
      def call(contents)
        data = contents.fetch("brake_data.yml")
        places =
          data.fetch("places").flat_map { |name, place| name == "own_1" ? numbered([name, place]) : [[name, place]] }
        contents.merge(
          "brake_data.yml" => {
            **data,
            "places" => places.to_h,
            "fields" => data.fetch("fields").then { |fields| with_others(fields, "fastener") }
          },
          "fasteners.yml" => with_others(contents.fetch("fasteners.yml"), "id"),
          "steps/rebuild.yml" => contents.fetch("steps/rebuild.yml").map { |step| tightening(step) }
        )
      end

      # Every run of entries whose `key` is own_1, followed by its like.
      def with_others(entries, key)
        entries
          .chunk_while { |one, other| one[key] == other[key] }
          .flat_map { |run| run.first[key] == "own_1" ? numbered(run).flat_map { |each| after_the_last(each) } : run }
      end

      def numbered(entry) = (1..MOST).map { |number| renamed(entry, number) }

      def renamed(value, number)
        case value
        when Hash
          value.to_h { |key, each| [renamed(key, number), renamed(each, number)] }
        when Array
          value.map { |each| renamed(each, number) }
        when String
          value.gsub("own_1", "own_#{number}").gsub("fastener 1", "fastener #{number}")
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

      def tightening(step)
        return step unless step["tighten"]&.include?("own_1")

        { **step, "tighten" => step["tighten"].flat_map { |id| id == "own_1" ? numbered(id) : [id] } }
      end
    end
  end
end
