# frozen_string_literal: true

RSpec.describe Graver::Core::Wear::StraightLine do
  # NIST Statistical Reference Datasets, linear regression, Norris (y, x), with its certified values; from memory.
  norris = <<~DATA.split.map(&:to_f).each_slice(2).map { |y, x| [x, y] }
    0.1 0.2 338.8 337.4 118.1 118.2 888.0 884.6 9.2 10.1 228.1 226.5 668.5 666.3 998.5 996.3 449.1 448.6 778.9 777.0
    559.2 558.2 0.3 0.4 0.1 0.6 778.1 775.5 668.8 666.9 339.3 338.0 448.9 447.5 10.8 11.6 557.7 556.0 228.3 228.1
    998.0 995.8 888.8 887.6 119.6 120.2 0.3 0.3 0.6 0.3 557.6 556.8 339.3 339.1 888.0 887.2 998.5 999.0 778.9 779.0
    10.2 11.1 117.6 118.3 228.9 229.2 668.4 669.1 449.2 448.9 0.2 0.5
  DATA

  it "meets the certified values of Norris" do
    expect(described_class.fit(norris)).to have_attributes(
      intercept: be_within(1e-9).of(-0.262323073774029),
      slope: be_within(1e-12).of(1.00211681802045),
      residual_sd: be_within(1e-10).of(0.884796396144373)
    )
  end

  it "reaches a limit only when it falls, and needs two points" do
    expect(described_class.fit([[0, 11.0], [20_000, 9.0]]).reaches(3.0)).to be_within(1e-6).of(80_000)
    expect(described_class.fit([[0, 9.0], [10, 9.5]]).reaches(3.0)).to be_nil
    expect { described_class.fit([[5, 9.0], [5, 8.0]]) }.to raise_error(ArgumentError, /2 different places/)
  end
end
