# frozen_string_literal: true

require_relative "../../benchmarks/chance"

# The probability integral transform (Dawid 1984; Gneiting, Balabdaoui and Raftery 2007; from memory): where truths are
# drawn from what is believed, the chances the forecast gave them are spread evenly.
RSpec.describe Graver::Core::Wear::Forecast do
  include WearBuilders

  let(:prior) { WearBuilders.without_surprises(KNOWLEDGE.prior("pad")).with(component_log_offset: {}) }
  let(:chance) { Benchmarks::Chance.new(11) }

  let(:spread) { Math.hypot(prior.rate_log_sd, prior.deviation_log_sd) }

  # Thickness at even steps from new to the limit, worn in gamma increments at this rate.
  def worn(rate, step_km)
    scale = prior.increment_mm
    path = [11.0]
    path << (path.last - (chance.gamma(rate * step_km / scale) * scale)) until path.last <= 3.0
    path
  end

  # Looks are taken at distances that are not chosen by how worn the pad is; those before its end.
  def looks(end_km)
    Array.new(chance.whole(1, 3)) { chance.between(4000.0, 30_000.0) }.sort.select { |km| km < end_km }
  end

  def seen(path, step_km, end_km)
    looks(end_km - step_km).map { |km| read(km, path[(km / step_km).floor] + (0.15 * chance.normal)) }
  end

  # -> the chance the forecast gave to lasting no longer than the pad does, or nil where nobody looked
  def told
    rate = prior.rate_mm_per_1000km / 1000 * Math.exp(spread * chance.normal)
    step_km = 8.0 / rate / 100
    path = worn(rate, step_km)
    end_km = (path.length - 1) * step_km
    found = seen(path, step_km, end_km)
    found.empty? ? nil : given(found, end_km)
  end

  def given(seen, end_km)
    as_of_km = seen.last.distance_km
    life = described_class.call(history({ "a" => fitted(*seen, sd_mm: 1e-6) }, as_of_km:), prior).first
    life.chance_passed(end_km - as_of_km)
  end

  it "returns calibrated chances: no part of the range too wide or too narrow" do
    chances = Array.new(160) { told }.compact
    counts = chances.group_by { |each| (each * 5).floor.clamp(0, 4) }.transform_values(&:length)
    expected = chances.length / 5.0
    # Pearson's statistic; 18.47 is the 99.9 % point of chi-squared with four degrees of freedom (R 4.2, qchisq)
    expect((0..4).sum { |bin| ((counts.fetch(bin, 0) - expected)**2) / expected }).to be < 18.47
    expect(chances.sum / chances.length).to be_within(0.07).of(0.5)
  end
end
