# frozen_string_literal: true

module Graver
  module Core
    module Judgement
      # Where pads are done, by one approach or law (knowledge/limits.yml). kinds: { "motorcycle" => { "mm" =>, "label"
      # =>, "source" => } } where it is another figure.
      PadLimit =
        Entry.define(:id, :label, :mm, :source, note: nil, kinds: {}) do
          # The same as it holds for a kind of vehicle.
          def for(kind) = kinds.key?(kind) ? with(**kinds.fetch(kind).transform_keys(&:to_sym)) : self
        end
    end
  end
end
