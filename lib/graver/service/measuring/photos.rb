# frozen_string_literal: true

module Graver
  module Service
    module Measuring
      # Photos of findings: add, show, remove and restore.
      class Photos
        LARGEST_BYTES = 6 * 1024 * 1024
        # of one step or one inspection
        MOST = 12

        def initialize(context)
          @context = context
          @store = context.store
        end

        # At an inspection -> id. Raises InvalidEntry, NotFound.
        def at_inspection(id, bytes) = add(@store.inspections.find(id).vehicle_id, { inspection_id: id }, bytes)

        # place: as Storage::Photos#add wants it -> id. Raises InvalidEntry, NotSaved.
        def add(vehicle_id, place, bytes)
          there = @store.photos.of_vehicle(vehicle_id).select { |photo| photo.to_h.slice(*place.keys) == place }
          raise refused("too_many", Message.of("photos.too_many", most: MOST)) if there.length >= MOST

          picture = @store.pictures.keep(bytes) or raise refused("unreadable", Message.of("photos.unreadable"))
          @store.transaction { @store.photos.add(vehicle_id, picture, place, on: @context.today, at: @context.now) }
        end

        # Of an inspection, oldest first -> [Storage::Photo]
        def of_inspection(inspection)
          @store.photos.of_vehicle(inspection.vehicle_id).select { |photo| photo.inspection_id == inspection.id }
        end

        # The newest of a vehicle, oldest first -> [[Storage::Photo, bytes]]; those whose file is gone are left out.
        def files_of_vehicle(vehicle_id, most)
          @store
            .photos
            .of_vehicle(vehicle_id)
            .last(most)
            .filter_map do |photo|
              [photo, @store.pictures.read(photo.digest)]
            rescue NotFound
              nil
            end
        end

        # The file of one -> bytes. Raises NotFound.
        def bytes(id) = @store.pictures.read(@store.photos.find(id).digest)

        # Raises NotFound.
        def remove(id) = change(id) { @store.photos.remove(id, at: @context.now) }
        # -> Storage::Photo. Raises NotFound.
        def restore(id) = change(id) { @store.photos.restore(id) }

        private

        def change(id, &block)
          @store.photos.find(id)
          @store.transaction(&block)
          @store.photos.find(id)
        end

        def refused(code, text) = InvalidEntry.of("photo", code, text)
      end
    end
  end
end
