# frozen_string_literal: true

module Graver
  module Core
    module Judgement
      # The thickness at which pads are worn out, by approach or law (knowledge/limits.yml). kinds: { "motorcycle" => {
      # "mm" =>, "label" =>, "source" => } } where it differs.
      PadLimit =
        Entry.define(:id, :label, :mm, :source, note: nil, kinds: {}) do
          # The limit for one kind of vehicle.
          def for(kind) = kinds.key?(kind) ? with(**kinds.fetch(kind).transform_keys(&:to_sym)) : self
        end
    end
  end
end
