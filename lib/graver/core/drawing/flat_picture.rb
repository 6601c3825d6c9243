# frozen_string_literal: true

module Graver
  module Core
    module Drawing
      # A brake on paper: what is painted, the furthest first. shapes: [Shape]; width, height: mm; spots: { part id =>
      # [right, down] of its middle }, of those that are painted
      FlatPicture =
        Value.define(:shapes, :width, :height, :spots) do
          # The side from which parts that come off inwards are seen.
          const_set :BEHIND, 180 - Camera::TURN

          # placed: [[Corner::DrawnPart, [x, y, z]]]; about: ids of parts in colour
          def self.of(placed, about: [])
            stuff = placed.to_h { |part, _| [part.kind.id, part.kind.stuff] }
            camera = view(placed, about)
            items = Painter.new(camera).call(Scene.bodies(placed))
            boxes = items.map(&:box).transpose
            corner, far = boxes.map { |spans| spans.map(&:first).min }, boxes.map { |spans| spans.map(&:last).max }
            built(items, corner, far, stuff, about, camera)
          end

          def self.view(placed, about)
            ways = placed.select { |part, _| about.include?(part.kind.id) }.map { |part, _| part.kind.way }
            Camera.new(turn: !ways.empty? && ways.all?("in") ? self::BEHIND : Camera::TURN)
          end

          def self.built(items, corner, far, stuff, about, camera)
            to_corner = ->(point) { [point[0] - corner[0], point[1] - corner[1]] }
            shapes = items.map { |item| shape(item, stuff, about, camera, to_corner) }
            spots = items.to_h { |item| [item.body.part, to_corner[item.box.map { |low, high| (low + high) / 2 }]] }
            new(shapes:, width: far[0] - corner[0], height: far[1] - corner[1], spots:)
          end

          def self.shape(item, stuff, about, camera, to_corner)
            part = item.body.part
            self::Shape.new(
              stuff: item.body.solid.stuff || stuff.fetch(part),
              now: about.include?(part),
              faces:
                item.faces.map do |face, outline, hole|
                  [outline.map(&to_corner), hole&.map(&to_corner), camera.light(face.normal)]
                end,
              lines: item.lines.map { |line| line.map(&to_corner) }
            )
          end
          private_class_method :view, :built, :shape
        end

      # stuff: what it is painted as; now: in colour; faces: [[outline, hole or nil, light from 0 to 1]]; lines: [[from,
      # to]], all as [right, down] in mm
      FlatPicture::Shape = Value.define(:stuff, :now, :faces, :lines)
    end
  end
end
