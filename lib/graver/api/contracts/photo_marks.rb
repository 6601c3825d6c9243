# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # What was marked in a photo: a known length and the edges of a pad, each as x, y, x, y in px of the photo.
      class PhotoMarks < Contract
        json do
          required(:known).filled(:string, max_size?: 20)
          required(:length).value(:string, max_size?: 20)
          required(:away).filled(:string, max_size?: 20)
          required(:size).value(:array, size?: 2).each(type?: Numeric, gt?: 0, lt?: 100_000)
          required(:ends).value(:array, size?: 4).each(type?: Numeric, gt?: -100_000, lt?: 100_000)
          required(:edges).value(:array, size?: 4).each(type?: Numeric, gt?: -100_000, lt?: 100_000)
          optional(:pixel).value(type?: Numeric, gt?: 0, lt?: 1000)
        end
      end
    end
  end
end
