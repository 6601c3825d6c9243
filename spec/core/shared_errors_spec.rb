# frozen_string_literal: true

require "prop_check"

# Readings of one day by one eye or one gauge, and parts of one unknown thickness, share their error.
RSpec.describe "Errors that readings have in common" do
  include WearBuilders

  let(:pads) { %w[left_inner left_outer right_inner right_outer] }
  let(:calm) { WearBuilders.without_surprises(KNOWLEDGE.prior("pad")) }

  def point(value_mm, own_mm, shared_mm, group: "eye")
    WearBuilders::Thickness.point(value_mm, Math.hypot(own_mm, shared_mm), shared_mm:, group:)
  end

  def seen(distance_km, thickness) = WearBuilders::Wear::Observation.new(distance_km:, thickness:, trust: 1.0, ref: nil)
  def set(new, *observations)
    pads.to_h { |pad| [pad, WearBuilders::Wear::Fitting.new(fitted_km: 0.0, new:, observations:)] }
  end
  def answer(set, as_of_km) = WearBuilders::Wear::Forecast.call(history(set, as_of_km:), calm)

  # Standard deviation of the mean of all pads now.
  def mean_sd(set, as_of_km)
    bank = WearBuilders::Wear::AxleFilter.new(history(set, as_of_km:), calm).hypotheses
    at = pads.map { |pad| bank.thickness(pad) }
    Math.sqrt(at.product(at).sum { |one, other| (bank.covariance[one, other, true] * bank.weights).sum } / 16)
  end

  # JCGM 100:2008, F.1.2 (from memory): what is common does not average out.
  it "keeps the mean of four visual readings as uncertain as their shared error" do
    new = point(11.0, 0.1, 0.0)
    alone, shared =
      [0.0, 0.8].map do |common|
        mean_sd(set(new, seen(30_000.0, point(6.0, Math.sqrt((0.8**2) - (common**2)), common))), 30_000.0)
      end
    expect(shared).to be > 1.4 * alone
  end

  it "separates groups of one day: a second tool helps, a second look with the first doesn't" do
    new = point(11.0, 0.1, 0.0)
    one_eye = set(new, seen(30_000.0, point(6.0, 0.1, 0.8)))
    two_gauges =
      one_eye.merge(
        one_eye
          .slice("right_inner", "right_outer")
          .transform_values { |fit| fit.with(observations: [seen(30_000.0, point(6.0, 0.1, 0.8, group: "gauge"))]) }
      )
    expect(mean_sd(two_gauges, 30_000.0)).to be < 0.9 * mean_sd(one_eye, 30_000.0)
  end

  # fact of the trade: four pads of one box were as thick as each other when new; common practice, no source
  it "treats a set's unknown new thickness as one unknown, not four" do
    read = seen(10_000.0, point(9.0, 0.1, 0.0))
    together, apart = [1.2, 0.0].map { |common| set(point(11.0, Math.sqrt((1.2**2) - (common**2)), common)) }
    widths =
      [together, apart].map do |fits|
        one_read = fits.merge("left_inner" => fits["left_inner"].with(observations: [read]))
        bank = WearBuilders::Wear::AxleFilter.new(history(one_read, as_of_km: 10_000.0), calm).hypotheses
        at = bank.thickness("right_outer")
        Math.sqrt((bank.covariance[at, at, true] * bank.weights).sum)
      end
    # either way each is as unsure as was said; the one that was read says how thick the unread ones were
    unread = [together, apart].map { |fits| WearBuilders::Wear::AxleFilter.new(history(fits, as_of_km: 0.0), calm) }
    spreads = unread.map { |filter| filter.hypotheses.covariance[filter.hypotheses.thickness("left_inner"), true, 0] }
    expect(spreads.map(&:max)).to all(be_within(1e-9).of(1.2**2))
    expect(widths.first).to be < 0.7 * widths.last
  end

  # Boole's inequality: the first of four is over as likely as the likeliest of them at least, and no likelier than
  # all together.
  it "counts axle and pad chances over the same futures" do
    figures = PropCheck::Generators.array(PropCheck::Generators.choose(22..60), min: 4, max: 4)
    PropCheck
      .forall(figures)
      .with_config(n_runs: 12)
      .check do |tenths|
        fits =
          pads
            .zip(tenths)
            .to_h do |pad, value|
              [
                pad,
                WearBuilders::Wear::Fitting.new(
                  fitted_km: 0.0,
                  new: point(11.0, 0.2, 0.1),
                  observations: [seen(40_000.0, point(value / 10.0, 0.3, 0.5))]
                )
              ]
            end
        result = answer(fits, 40_000.0)
        each = pads.map { |pad| result.chance_below(pad, 3.0) }
        expect(result.first.chance_now).to be_between(each.max - 1e-9, each.sum + 1e-9)
      end
  end

  # Four glances "about half" of pads nobody knows anything of: common practice, no source, that this is no alarm.
  it "doesn't take four rough readings of half-worn pads for a worn-out pad" do
    glance =
      Graver::Core::Measurement::Reading.new(
        part: "pad",
        method: "percent",
        unit: "percent",
        value: Graver::Core::Quantity::EnteredNumber.parse("50"),
        upper: nil,
        overall: false
      )
    half = KNOWLEDGE.normalise.call(glance, Graver::Core::Measurement::Normalise::Part.unknown)
    result =
      WearBuilders::Wear::Forecast.call(
        history(set(point(11.0, 0.2, 1.2), seen(30_000.0, half)), as_of_km: 30_000.0),
        KNOWLEDGE.prior("pad")
      )
    expect(result.first.chance_now).to be < 0.2
    expect(result.first.quantile(0.1)).to be > 3000
  end
end
