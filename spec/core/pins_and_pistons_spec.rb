# frozen_string_literal: true

# What the forecast makes of pins and pistons that were tried.
RSpec.describe Graver::Core::Wear::AxleFilter::PinsAndPistons do
  include WearBuilders

  places = %w[left_inner left_outer right_inner right_outer]
  define_method(:set) do |left_inner|
    ends = [left_inner, 6.4, 6.3, 6.5]
    places
      .zip([8.6, 8.8, 8.7, 8.8], ends)
      .to_h { |place, half, last| [place, fitted(read(14_000, half), read(28_000, last))] }
  end

  def tried(left_inner, how, freed: [])
    movements = how ? [[28_000, %w[left_inner left_outer], how]] : []
    result = forecast(set(left_inner), as_of_km: 28_000, movements:, freed:)
    { early: result.first.quantile(0.05), middle: result.first.quantile(0.5), seized: seized(result) }
  end
  def seized(result) = %w[left_inner left_outer].sum { |place| result.changed[place][:chance] }

  # common practice, no source: a pad that wears ahead of its mate on a seized pin goes on doing so; where both pins move
  # freely, the reading is the first thing to doubt.
  it "tells a seizure from a wrong reading" do
    unknown, seized, free = [nil, "seized", "free"].map { |how| tried(4.4, how) }
    expect(seized[:seized]).to be > 0.8
    expect(unknown[:seized]).to be_between(2 * free[:seized], 0.6 * seized[:seized])
    expect(seized[:middle]).to be < 0.6 * free[:middle]
  end

  # common practice, no source: a seized pin that is left so wears its pads unevenly from there on.
  it "expects uneven wear of what is found seized, before it shows" do
    unknown, stiff, seized, freed =
      [[nil], ["stiff"], ["seized"], ["seized", { freed: [[28_000, %w[left_inner left_outer]]] }]].map do |how, more|
        tried(6.3, how, **more.to_h)[:early]
      end
    expect(seized).to be < 0.6 * unknown
    expect(stiff).to be_between(1.2 * seized, unknown)
    expect(freed).to be > 0.7 * unknown
  end

  # By hand: nothing was read and nothing driven since the fitting, so only what begins there is a change. Some of the
  # slightest hypotheses aren't kept.
  it "lets half the corners found seized change from there on" do
    begins = KNOWLEDGE.prior("pad").movement["seized"][:begins]
    filter = follow({ "left_inner" => fitted }, as_of_km: 0, movements: [[0, ["left_inner"], "seized"]])
    expect(filter.changes_supposed["left_inner"]).to include(chance: be_between(0.8 * begins, begins), since_km: 0.0)
    # found seized and freed, with nothing read: it begins anew
    tried = { movements: [[5000, ["left_inner"], "seized"]] }
    left, freed =
      [[], [[5000, ["left_inner"]]]].map do |freed|
        follow({ "left_inner" => fitted }, as_of_km: 5000, freed:, **tried).changes_supposed["left_inner"][:chance]
      end
    expect([left, freed]).to match([be > 0.4, be < 0.1])
  end

  it "heeds only the corner, and what was tried so far" do
    right = forecast(set(4.4), as_of_km: 28_000, movements: [[28_000, %w[right_inner right_outer], "seized"]])
    expect(seized(right)).to be < 0.5
    builder = KNOWLEDGE.history_builder
    moved =
      [[20_000.0, "left"], [40_000.0, "right"]].map do |km, side|
        Graver::Core::Wear::Movement.new(odometer_km: km, side:, how: "stiff")
      end
    specification =
      Graver::Core::Wear::PartSpecification.new(
        part: "rotor",
        components: %w[left right],
        new_mm: 22.0,
        limit_mm: 20.0,
        backing_mm: nil,
        backing_uncertainty_mm: nil,
        limit_overall: false,
        axle: "front",
        kind: "car"
      )
    expect(builder.call([], specification, as_of_km: 30_000.0, moved:).movements).to eq([[20_000.0, ["left"], "stiff"]])
  end
end
