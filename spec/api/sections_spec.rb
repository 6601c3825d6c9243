# frozen_string_literal: true

require_relative "../support/job_helper"

RSpec.describe Graver::API::Sections do
  include JobHelper

  def resolve(item, have)
    header "Graver-Have", have
    ask(:post, address("/resolved"), { item:, done: true })
  ensure
    header "Graver-Have", nil
  end

  let(:plan) do
    complete
    ask(:get, address)
  end

  it "answers a command with the fields that changed since the version it names" do
    answer = resolve(open_items(plan).first, plan["version"])
    expect([status, answer.keys]).to eq([226, %w[version changed]])
    expect(answer["changed"].keys).to include("readiness").and(satisfy { |keys| keys.length < plan.length / 4 })
    expect({ **plan, **answer["changed"], "version" => answer["version"] }).to eq(ask(:get, address))
  end

  it "answers with the whole job without a version, or with one it can't read" do
    first, second, third = open_items(plan)
    expect([resolve(first, nil), resolve(second, "x" * plan["version"].length), resolve(third, "?")]).to all(
      include("readiness", "steps", "version")
    )
    expect(status).to eq(200)
  end

  it "includes what another window changed in between" do
    ask(:patch, address, { planned_for: "2026-05-30" })
    expect(resolve(open_items(plan).first, plan["version"])["changed"].keys).to include("readiness")
    ask(:patch, address, { planned_for: "2026-06-06" })
    answer = resolve(open_items(ask(:get, address)).last, plan["version"])
    expect(answer["changed"]).to include("planned_for" => "2026-06-06")
  end
end
