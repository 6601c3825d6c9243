# frozen_string_literal: true

require "json"

RSpec.describe Graver::Core::Measurement::PhotoMeasure do
  subject(:measure) { described_class.new(rules) }

  let(:rules) { KNOWLEDGE.measurement.fetch("photo") }

  def marks(**given)
    described_class::Marks.new(
      known_mm: 10.0,
      known_sd_mm: 0.0,
      known: [[100, 100], [100, 300]],
      wanted: [[200, 100], [200, 220]],
      away_mm: 0.0,
      frame: [2000, 1500],
      mark_sd_px: 0.0,
      **given
    )
  end

  it "scales by the known length" do
    expect(measure.call(marks)).to have_attributes(value_mm: 6.0, standard_uncertainty_mm: 0.0)
  end

  # JCGM 100:2008, 5.1.6: the relative variance of a product or a quotient is the sum of those of its factors (from
  # memory).
  it "adds the relative variances of the known length and of each mark" do
    result = measure.call(marks(known_sd_mm: 0.2, mark_sd_px: 3.0))
    relative = (0.02**2) + (2 * ((3.0 / 200)**2)) + (2 * ((3.0 / 120)**2))
    expect(result.standard_uncertainty_mm).to be_within(1e-9).of(6 * Math.sqrt(relative))
    expect(result.shares.values.sum).to be_within(1e-9).of(1)
    expect(result.shares.max_by(&:last).first).to eq(:edges)
    expect((result.high_mm - result.low_mm) / Math.sqrt(12)).to be_within(1e-9).of(result.standard_uncertainty_mm)
  end

  # Common practice, no source: what is not parallel, or not as far away, measures badly.
  it "trusts a photo less the further the known length is from the pad, and the more it is turned against it" do
    near, far = [5, 90].map { |away_mm| measure.call(marks(away_mm:)) }
    expect(far.standard_uncertainty_mm).to be > 10 * near.standard_uncertainty_mm
    turned = measure.call(marks(known: [[100, 100], [300, 100]]))
    expect(turned.standard_uncertainty_mm).to be_within(0.01).of(6 * (1 - Math.cos(35 * Math::PI / 180)) / Math.sqrt(3))
  end

  it "refuses marks that are too close to say anything" do
    close = [[100, 100], [100, 111]]
    { known: "ends", wanted: "edges" }.each do |mark, field|
      expect { measure.call(marks(mark => close)) }.to raise_error(Graver::InvalidEntry) do |error|
        expect(error.faults.map(&:field)).to eq([field])
      end
    end
  end

  # What a browser out of reach measures, with the same figures (web/tests/photoMeasure.test.ts).
  it "agrees with what browsers are checked against" do
    path = File.expand_path("../../web/tests/photoMeasures.json", __dir__)
    JSON
      .parse(File.read(path), symbolize_names: true)
      .each do |each|
        result = Graver::Service::Measuring::PhotoMeasurement.new(KNOWLEDGE).call(each[:given])
        expect(Graver::API::Serializers::PhotoMeasured.call(result)).to eq(each[:measured])
      end
  end

  # The same through a pinhole camera: points at known places, projected, marked with errors.
  def photographed(random, away)
    frame = [4000.0, 3000.0]
    project = camera(random, 0.6 * Math.hypot(*frame))
    off = random.rand(-away..away)
    known = [project[0, 15, off], project[20, 15, off]]
    wanted = [project[5, 0, 0], project[11, 0, 0]]
    marks(known_mm: 20.0, known_sd_mm: 0.1, known:, wanted:, away_mm: away, frame:, mark_sd_px: 2.0)
  end

  # -> where a point [along the thickness, across it, nearer to the camera], mm, is seen
  def camera(random, focal)
    distance = 180 + (120 * random.rand)
    tilt, turn = [35.0, 20.0].map { |most| random.rand(-most..most) * Math::PI / 180 }
    lambda do |along, across, nearer|
      seen = along * Math.cos(tilt)
      depth = distance - nearer - (along * Math.sin(tilt))
      [[seen, -across], [across, seen]].map do |one, two|
        (((one * Math.cos(turn)) + (two * Math.sin(turn))) * focal / depth) + (2 * normal(random))
      end
    end
  end

  def normal(random) = Math.sqrt(-2 * Math.log(1 - random.rand)) * Math.cos(2 * Math::PI * random.rand)

  it "holds what a pinhole camera sees: a pad of 6 mm in 19 of 20 photos, with an error no larger than stated" do
    [5.0, 30.0].each do |away|
      random = Random.new(7)
      results = Array.new(400) { measure.call(photographed(random, away)) }
      held = results.count { |each| each.low_mm < 6 && each.high_mm > 6 } / 400.0
      error = Math.sqrt(results.sum { |each| (each.value_mm - 6)**2 } / 400)
      stated = results.sum(&:standard_uncertainty_mm) / 400
      expect(held).to be_between(0.9, 1)
      expect(error / stated).to be_between(0.6, 1.15)
    end
  end
end
