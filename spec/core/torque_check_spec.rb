# frozen_string_literal: true

# Permissible deviation of hand torque tools: 4 % above 10 N·m, 6 % up to it (ISO 6789, from memory).
RSpec.describe Graver::Core::Planning::TorqueCheck do
  def torque(text, unit = "N·m") = Graver::Core::Planning::Torque.parse(text, unit)
  def check(reached, text, unit = "N·m", share: 0.04, **angle)
    described_class.call(reached, torque(text, unit), share:, angle_within: 5, **angle)
  end

  it "accepts a torque within the wrench's tolerance, at both ends" do
    expect([95.9, 96.0, 104.0, 104.1].map { |reached| check(reached, "100") }).to eq(%w[under ok ok over])
    expect([9.3, 9.4, 10.6, 10.7].map { |reached| check(reached, "10", share: 0.06) }).to eq(%w[under ok ok over])
  end

  it "checks a range by its own ends in its own unit" do
    # 22 to 26 N·m; 18 to 20 lbf·ft is 24.4 to 27.1 N·m (SP 811, 1 lbf·ft = 1.355818 N·m)
    expect([21.9, 22.0, 26.0, 26.1].map { |reached| check(reached, "22-26") }).to eq(%w[under ok ok over])
    expect([24.3, 24.5, 27.1, 27.2].map { |reached| check(reached, "18-20", "lbf·ft") }).to eq(%w[under ok ok over])
  end

  it "checks the angle where there is one" do
    by_angle = ->(degrees) { check(160.0, "90", angle_degrees: 90.0, reached_degrees: degrees) }
    expect([84.9, 85.0, 95.0, 95.1].map(&by_angle)).to eq(%w[under ok ok over])
    # its torque alone does not tighten it
    expect([90.0, 160.0].map { |reached| check(reached, "90", angle_degrees: 90.0) }).to eq(%w[under under])
  end
end
