# frozen_string_literal: true

require_relative "random_brakes"

# Corners of any brake that can be bought, drawn; and where a line of sight meets them first.
module DrawnBrakes
  def self.included(base) = base.include(RandomBrakes)

  # Of every kind, with the rest at random: [[Core::Planning::Corner, [PlannedStep] of its job, [Lift]], ...]
  def every_kind
    kinds.map do |kind|
      lifts = lifts(random_setup("rear", kind, choices.sample(1).first))
      [lifts.first.corners.first, sequence.call(lifts), lifts]
    end
  end

  def sizes_of(configuration, **known) = Graver::Core::Drawing::Sizes.from(known, configuration)

  # sizes: known ones -> [DrawnPart]
  def drawn(configuration, mirrored: false, **known)
    sizes = sizes_of(configuration, **known)
    Graver::Core::Drawing::Corner.call(KNOWLEDGE.drawn_parts, configuration, sizes, mirrored:)
  end

  # Facts at a corner before and after each of its steps: [[PlannedStep, [before], [after]], ...]
  def walked(corner, placed, lifts)
    places = Graver::Core::Planning::FactPlaces.new(KNOWLEDGE.procedure, lifts)
    here =
      lambda do |state|
        state
          .to_a
          .select { |_, *at| [[], [corner.configuration["lifts"]], [corner.axle, corner.side]].include?(at) }
          .map(&:first)
      end
    state = Graver::Core::Planning::BrakeState.new(KNOWLEDGE.procedure)
    placed.filter_map do |each|
      before, state = state, state.after(places.of(each))
      [each, here[before], here[state]] if [each.axle, each.side] == [corner.axle, corner.side]
    end
  end

  # What is painted at a point, [part, how near], the last of it on top
  def painted_at(items, point, camera)
    items.flat_map do |item|
      item.faces.filter_map do |face, outline, hole|
        next unless inside?(outline, point) && !(hole && inside?(hole, point))

        [item.body.part, nearness(item.body.vertices[face.points.first], face.normal, point, camera)]
      end
    end
  end

  # Where the line of sight through a point of the picture meets a face's plane.
  def nearness(corner, normal, (across, down), camera)
    start = [0, 1, 2].map { |axis| (camera.right[axis] * across) - (camera.up[axis] * down) }
    camera.dot(normal, corner.zip(start).map { |one, two| one - two }) / camera.dot(normal, camera.towards)
  end

  def inside?(loop_, (x, y))
    loop_
      .each_with_index
      .count do |(ax, ay), at|
        bx, by = loop_[(at + 1) % loop_.length]
        (ay > y) != (by > y) && x < ((bx - ax) * (y - ay) / (by - ay)) + ax
      end
      .odd?
  end

  # A grid of points over what is painted.
  def points_over(items, across:)
    (left, right), (top, bottom) = [0, 1].map { |axis| items.flat_map { |item| item.box[axis] }.minmax }
    steps = Array.new(across) { |at| (at + 0.5) / across }
    steps.product(steps).map { |x, y| [left + ((right - left) * x), top + ((bottom - top) * y)] }
  end
end
