# frozen_string_literal: true

# What is written without a side is of both, read or not.
RSpec.describe Graver::LogFormat::Forecaster do
  let(:forecaster) { described_class.new(normalise: KNOWLEDGE.normalise, outlook: KNOWLEDGE.outlook) }
  let(:spec) { '{"axles": {"front": {"pad": {"new_mm": 11.0, "limit_mm": 3.0}}}}' }

  def pads(*rows)
    head = "date,odometer,axle,side,part,pad,event,method,value"
    forecaster.call([head, *rows].join("\n"), spec).document["axles"]["front"]["pads"]
  end

  it "forecasts all four pads of a fit without a side though only one was read" do
    read = "2026-01-01,20000,front,left,pad,inner,reading,caliper,8.0"
    expect(pads("2025-01-01,1000,front,,pad,,fit,,", read).keys).to match_array(
      %w[left_inner left_outer right_inner right_outer]
    )
    # an axle that has one side alone
    single = %w[inner outer].map { |pad| "2025-01-01,1000,front,left,pad,#{pad},fit,," }
    expect(pads(*single, read).keys).to match_array(%w[left_inner left_outer])
  end
end
