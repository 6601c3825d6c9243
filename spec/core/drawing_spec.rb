# frozen_string_literal: true

require_relative "../support/drawn_brakes"

RSpec.describe Graver::Core::Drawing do
  include DrawnBrakes

  let(:scene) { described_class::Scene }
  let(:camera) { described_class::Camera.new }
  let(:plain) { { **PlanBuilders::PLAIN, "retentions" => "screws", "sensors" => true, "wheels_by" => "nuts" } }

  def part(parts, id) = parts.find { |each| each.kind.id == id } || raise("no #{id}")
  def thickness(solid) = (solid.to - solid.from).round(6)
  def exploded(parts, configuration) = scene.exploded(parts, sizes_of(configuration).scaled(1))
  def painted(placed, seen = camera) = described_class::Painter.new(seen).call(scene.bodies(placed))

  # ISO 5456-3, from memory: in an isometric projection the three axes are shortened alike, to 0.816.
  it "projects along parallel lines" do
    isometric = described_class::Camera.new(turn: 45, tilt: Math.atan(1 / Math.sqrt(2)) * 180 / Math::PI)
    lengths = [[1, 0, 0], [0, 1, 0], [0, 0, 1]].map { |axis| Math.hypot(*isometric.flat(axis)) }
    expect(lengths).to all(be_within(0.0005).of(0.816))
    expect(camera.flat([0, 0, 1]).last).to be_negative
    expect(camera.flat([0, 1, 0]).first).to be_positive
  end

  it "draws every fastener a step undoes or tightens, as often as the torque card counts it" do
    every_kind.each do |corner, placed, _|
      configuration = corner.configuration
      lines = KNOWLEDGE.fasteners.to_h { |each| [each.id, each.count(configuration["calipers"], {})] }.compact
      parts = drawn(configuration, counts: lines)
      mine = placed.select { |each| [each.axle, each.side] == [corner.axle, corner.side] || each.step.id == "star" }
      used = mine.flat_map { |each| each.step.fasteners + each.step.tighten }.uniq.grep_v(/\Aown_/)
      counts = parts.select { |each| each.kind.fastener }.to_h { |each| [each.kind.fastener, heads(each)] }
      expect(used - counts.keys).to be_empty
      expect(lines.slice(*used)).to eq(counts.slice(*(used & lines.keys)))
    end
  end

  # Head and shank of one are on one line.
  def heads(part)
    part
      .solids
      .map do |solid|
        [
          solid.axis,
          described_class::Body.new("", solid).middle.map { |each| each.round(3) },
          solid.axis == "z" && solid.from < 0
        ]
      end
      .uniq
      .length
  end

  it "counts what the owner counted" do
    counts = { "wheel_nut" => 4, "rotor_screw" => 2 }
    parts = drawn(plain, counts:)
    expect(%w[wheel_nut rotor_screw].map { |id| heads(part(parts, id)) }).to eq([4, 2])
  end

  it "keeps taken-apart parts clear of each other" do
    every_kind
      .map(&:first)
      .each do |corner|
        placed = exploded(drawn(corner.configuration), corner.configuration)
        by = placed.to_h { |each, offset| [each.kind.id, offset] }
        pairs = painted(placed).reject(&:inner).combination(2)
        apart = pairs.reject { |one, two| by[one.body.part] == by[two.body.part] || within?(one.body, two.body) }
        touching = apart.select { |one, two| described_class::Planes.new(camera).together?(one, two) }
        expect(touching.map { |pair| pair.map { |item| item.body.part }.join(" in ") }).to be_empty
      end
  end

  def within?(one, two) = one.around?(two) || two.around?(one)

  # The last face painted at a point must be the one a line of sight meets first.
  it "paints what is nearer over what is further, from any side" do
    tried = every_kind.sample(8).map(&:first).flat_map { |corner| mistakes_in(corner) }
    expect(tried.compact.length).to be <= tried.length / 500, tried.compact.uniq.inspect
  end

  # At points of two pictures: [part painted on top, part in front of it], or nil where it is right
  def mistakes_in(corner)
    parts = drawn(corner.configuration)
    {
      exploded(parts, corner.configuration) => 142,
      scene.placed(parts, ["wheel_off"], 1) => 38
    }.flat_map do |placed, turn|
      seen = described_class::Camera.new(turn:)
      items = painted(placed, seen)
      hits = points_over(items, across: 7).map { |point| painted_at(items, point, seen) }
      hits.reject(&:empty?).map { |each| mistake(each) }
    end
  end

  def mistake(hits)
    front, near = hits.max_by(&:last)
    top, on_top = hits.last
    near - on_top > 2 ? [top, front] : nil
  end

  # Those inside others are seen through them (web/src/parts/brake/picture.svelte.ts).
  it "shows what a step is about, from one side or another, unless it is inside something" do
    hidden =
      every_kind
        .sample(4)
        .flat_map do |corner, placed, lifts|
          parts = drawn(corner.configuration)
          walked(corner, placed, lifts).filter_map do |each, before, after|
            about =
              parts.select { |one| one.kind.of?(each.step) && (one.kind.drawn?(before) || one.kind.drawn?(after)) }
            next if about.empty? || enclosed?(corner, about) || seen?(parts, about, before, after)

            about.map { |one| one.kind.id }.join(", ")
          end
        end
    expect(hidden - %w[piston adjuster wear_sensor spread_spring]).to be_empty
  end

  # A fixed caliper of a motorcycle is closed over its pads.
  def enclosed?(corner, about)
    corner.configuration["calipers"] == "motorcycle_fixed" && about.all? { |one| one.kind.id.end_with?("_pad") }
  end

  # From one of the four sides a picture is turned to, at least one point of a part is on top.
  def seen?(parts, about, before, after)
    wheel = about.any? { |each| each.kind.gone }
    facts = wheel ? before & after : before | after
    placed = scene.placed(parts, facts, 1).select { |each, _| wheel || !each.kind.gone }
    [38, 142, -38, -142].any? do |turn|
      on_top?(placed, about.map { |each| each.kind.id }, described_class::Camera.new(turn:))
    end
  end

  def on_top?(placed, ids, seen)
    items = painted(placed, seen)
    points = items.select { |item| ids.include?(item.body.part) }.flat_map { |item| points_over([item], across: 4) }
    points.any? { |point| ids.include?(painted_at(items, point, seen).last&.first) }
  end

  it "makes the right-hand corner the mirror image of the left" do
    every_kind
      .map(&:first)
      .each do |corner|
        left, right = [false, true].map { |mirrored| drawn(corner.configuration, mirrored:) }
        spots =
          lambda do |parts, sign|
            parts
              .flat_map { |each| each.solids.flat_map(&:vertices) }
              .map { |x, y, z| [x.round(3), (y * sign).round(3) + 0.0, z.round(3)] }
              .sort
          end
        expect(spots[right, 1]).to eq(spots[left, -1])
      end
  end

  it "draws pads and rotors as thin as they were read, and the caliper where that brings it" do
    worn = drawn(plain, inner_mm: 3.2, outer_mm: 8.4, thickness_mm: 23.1, new_mm: 12)
    friction = %w[inner_pad outer_pad].map { |id| part(worn, id).solids.find { |solid| solid.stuff == "friction" } }
    expect(friction.map { |solid| thickness(solid) }).to eq([3.2, 8.4])
    rotor = part(worn, "rotor").solids.first(3)
    expect(rotor.map(&:to).max - rotor.map(&:from).min).to be_within(1e-9).of(23.1)
    # common practice, no source: a floating caliper slides in by the outer pad's wear, its piston comes out by both pads'
    fresh = drawn(plain, thickness_mm: 23.1, new_mm: 12)
    fingers = [worn, fresh].map { |parts| part(parts, "caliper").solids.map(&:to).max }
    piston = [worn, fresh].map { |parts| thickness(part(parts, "piston").solids.first) }
    expect([fingers, piston].map { |now, new| (now - new).round(6) }).to eq([-3.6, 12.4])
  end

  it "puts a picture on paper, what it is about in colour, and turns it round for bolts from inside" do
    picture = ->(ids, facts) { described_class::FlatPicture.of(scene.placed(drawn(plain), facts, 1), about: ids) }
    out = picture[%w[caliper], %w[wheel_off caliper_open caliper_away]]
    expect(out.shapes.select(&:now).map(&:stuff).uniq).to eq(["caliper"])
    points = out.shapes.flat_map { |shape| shape.faces.flat_map(&:first) }
    expect(points.transpose.map(&:minmax)).to match(
      [[be_within(1e-6).of(0), be_within(1e-6).of(out.width)], [be_within(1e-6).of(0), be_within(1e-6).of(out.height)]]
    )
    # the hub's end is on the side of the rotor that is seen
    order = %w[hub knuckle].permutation.map { |pair| pair.map { |id| out.spots[id].first } }.first
    behind =
      picture[%w[bracket_bolt], %w[wheel_off caliper_away pads_out bracket_off]]
        .spots
        .values_at("hub", "knuckle")
        .map(&:first)
    expect([order, behind].map { |hub, knuckle| hub <=> knuckle }).to eq([-1, 1])
  end

  it "moves what goes along, keeps a unit together, and drops the wheel" do
    parts = drawn(plain)
    offset = ->(facts, id) { scene.placed(parts, facts, 1).to_h { |each, by| [each.kind.id, by] }[id] }
    expect(offset[%w[wheel_off caliper_open caliper_away], "hose"]).to eq(
      offset[%w[wheel_off caliper_open caliper_away], "caliper"]
    )
    unit = %w[wheel_off caliper_open caliper_away bracket_off unit_away]
    expect(%w[caliper inner_pad slide_pin_bolt].map { |id| offset[unit, id] }.uniq).to eq([offset[unit, "bracket"]])
    expect(offset[["wheel_off"], "wheel"]).to be_nil
    expect([offset[[], "hook"], offset[["caliper_away"], "hook"]].map(&:nil?)).to eq([true, false])
  end
end
