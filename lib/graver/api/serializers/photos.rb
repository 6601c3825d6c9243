# frozen_string_literal: true

module Graver
  module API
    module Serializers
      # Photos, each at its own address.
      module Photos
        module_function

        # [Storage::Photo]
        def call(photos) = photos.map { |photo| one(photo) }

        def one(photo)
          { **photo.to_h.slice(:id, :width, :height, :removed), step: photo.key, day: photo.day.iso8601 }
        end
      end
    end
  end
end
