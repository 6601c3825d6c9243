# frozen_string_literal: true

module Graver
  module API
    module Serializers
      # Schools with their options and the one that is followed.
      module Schools
        module_function

        # chosen: { kind => option id }
        def call(knowledge, chosen)
          all = Service::Axles::Schools.all(knowledge)
          chosen.map do |kind, id|
            {
              id: kind,
              label: all.dig(kind, "label"),
              chosen: id,
              options: all.dig(kind, "options").map { |option, entry| option(option, entry) }
            }
          end
        end

        def option(id, entry) = { id:, label: entry["label"], because: entry["because"] }
      end
    end
  end
end
