# frozen_string_literal: true

module Graver
  module Storage
    # quantiles: { 0.1 => km from as_of_km, ... }
    ForecastGiven =
      Core::Value.define(
        :id,
        :axle_id,
        :inspection_id,
        :given_on,
        :as_of_km,
        :limit_mm,
        :quantiles,
        :look_again_km,
        :afterwards
      )
  end
end
