# frozen_string_literal: true

require_relative "../support/planned_job"

RSpec.describe "Scan tools in a job in the API" do
  include PlannedJob

  let(:rear) do
    axle(
      :rear,
      {
        "caliper.kind": "floating_slide_pins",
        "parking_brake.kind": "electric",
        "slide_pin_bolt.torque": %w[30 N·m],
        "wheel_nut.torque": %w[120 N·m]
      }
    )
  end

  def act(step = "rear.service_mode", device: "diagnostic")
    ask(:post, "/jobs/#{job_id}/scan-tool-actions", { step:, device: })
  end

  before do
    planned(rear, "pads")
    open_items = plan.readiness.select(&:open?).map(&:id)
    ask(:post, "/jobs/#{job_id}/resolved", { items: open_items, done: true })
    ask(:patch, "/jobs/#{job_id}", { state: "ready", because: "So it is" })
  end

  # no brake is opened before the chocks: common practice, no source
  it "opens no brake before its step's turn" do
    refused = act
    expect(fields(refused)).to eq("step" => "waits")
    expect(fields(act("rear.chock"))).to eq("step" => "unknown_step")
    expect(fields(act("dance"))).to eq("step" => "unknown_step")
  end

  it "moves nothing on the owner's vehicle and opens a sample's brake in time" do
    before = planning.step_keys(context.store.jobs.find(job_id)).take_while { |key| key != "rear.service_mode" }
    before.each { |key| Graver::Service::Jobs::JobTicks.new(context).tick(job_id, [key], true) }
    refused = act
    expect([status, refused["error"]["message"]]).to eq(
      [503, "A simulated scan tool moves nothing on your vehicle. Use your own, or the manufacturer's procedure."]
    )
    context.store.instance_variable_get(:@database)[:vehicles].update(sample: true)
    expect(act).to include("action" => "brake_open", "seconds" => be_between(30, 40), "simulated" => true)
    act(device: "wrench")
    expect(status).to eq(503)
    act(device: "none")
    expect(status).to eq(404)
  end
end
