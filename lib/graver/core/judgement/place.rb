# frozen_string_literal: true

module Graver
  module Core
    module Judgement
      # A place where rules are tried: scope "position", "corner", "axle" or "vehicle"; axle_id, side, pad where they
      # apply; measures { "now_mm" => 3.6, "place" => "Left inner pad", ... }.
      Place = Value.define(:scope, :axle_id, :side, :pad, :measures)
    end
  end
end
