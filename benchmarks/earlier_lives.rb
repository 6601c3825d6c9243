# frozen_string_literal: true

module Benchmarks
  # The rule of thumb of an owner who keeps records: this set will last as long as those before it, give or take a
  # quarter (geometric mean of their lives; a normal spread of the logarithm).
  module EarlierLives
    SPREAD = 0.25

    module_function

    # lives_km: of earlier sets, at least one; driven_km: on this one -> { probability => km from now }
    def call(lives_km, driven_km)
      middle = lives_km.sum { |km| Math.log(km) } / lives_km.length
      Graver::Core::Wear::RemainingLife::PROBABILITIES.to_h do |probability|
        life = Math.exp(middle + (SPREAD * Graver::Core::Wear::Normal.quantile(probability)))
        [probability, [life - driven_km, 0.0].max]
      end
    end
  end
end
