# frozen_string_literal: true

require_relative "../support/camera"
require_relative "../support/job_helper"

RSpec.describe "Photos in the API" do
  include JobHelper

  before do
    complete
    know(front, ["rotor.retention", "nothing", nil])
  end

  def send_photo(path, bytes = Camera.photo)
    header "Host", "127.0.0.1"
    header "Content-Type", "image/jpeg"
    post("/api/v1#{path}", bytes)
    JSON.parse(plain(last_response.body))
  end
  def photograph(key, of = job) = send_photo("/jobs/#{of["id"]}/photos?step=#{key}")
  def at(plan, key) = step(plan, key)["photos"].transform_values { |photos| photos.map { |photo| photo["id"] } }
  def picture(id) = get("/api/v1/photos/#{id}", {}, { "HTTP_HOST" => "127.0.0.1" })

  it "shows a photo at the matching reassembly step of the corner" do
    plan = photograph("front.left.judge")
    expect(status).to eq(201)
    expect(at(plan, "front.left.judge")).to eq("own" => [1], "shown" => [], "earlier" => [])
    expect(at(plan, "front.left.pads_in")).to eq("own" => [], "shown" => [1], "earlier" => [])
    expect(at(plan, "front.right.pads_in")["shown"]).to be_empty
    picture(1)
    expect(last_response.headers).to include("content-type" => "image/jpeg", "cache-control" => "no-store")
    expect(Camera.corners(last_response.body)).to eq(%i[red blue blue red])
  end

  it "shows it next time at the same step of the same vehicle" do
    photograph("front.left.judge")
    next_time = pad_job(planned_for: nil)
    plan = ask(:get, "/jobs/#{next_time["id"]}")
    expect(at(plan, "front.left.judge")).to eq("own" => [], "shown" => [], "earlier" => [1])
    other = ask(:post, "/vehicles", { name: "Rowan", kind: "car" })["axles"].first["id"]
    know(other, ["caliper.kind", "floating_slide_pins", nil], ["rotor.retention", "nothing", nil])
    expect(at(ask(:get, "/axles/#{other}/job-plan"), "front.left.judge")["earlier"]).to be_empty
  end

  it "saves one photo at a time, so that the others still get answers, and gives up on one that takes too long" do
    pictures = context.store.pictures
    reading, going_on = IO.pipe
    allow(pictures).to(
      receive(:bare).and_wrap_original do |original, *given|
        reading.read(1)
        original.call(*given)
      end
    )
    first = Thread.new { pictures.keep(Camera.photo) }
    sleep 0.01 until pictures.instance_variable_get(:@working).locked?
    expect(photograph("front.left.judge")["error"]).to include("code" => "not_saved", "message" => /another photo/)
    going_on.close
    expect(first.value.width).to be > 0
    photograph("front.left.judge")
    expect(status).to eq(201)
    expect(Graver::Storage::Pictures::BARE.first(4)).to eq(%w[timeout -k 1 10])
  end

  it "removes and restores a photo" do
    photograph("front.left.judge")
    expect(ask(:delete, "/photos/1")).to include("removed" => true, "step" => "front.left.judge")
    expect(at(ask(:get, address), "front.left.pads_in")["shown"]).to be_empty
    expect(ask(:post, "/photos/1/restore")).to include("removed" => false)
    expect(at(ask(:get, address), "front.left.pads_in")["shown"]).to eq([1])
  end

  it "adds a photo to an inspection" do
    id = ask(:post, "/vehicles/#{car["id"]}/inspections", inspection("2026-05-01", "60000", pad("6.0")))["id"]
    expect(send_photo("/inspections/#{id}/photos")["photos"]).to contain_exactly(include("step" => nil, "width" => 32))
    expect(ask(:get, "/inspections/#{id}")["photos"].length).to eq(1)
    # the log shows it in the inspection's line, and not when it is removed
    logged = -> { ask(:get, "/logbook")["lines"].find { |line| line["place"] == "inspections/#{id}" }["photos"] }
    shown = logged.call
    expect(shown.length).to eq(1)
    ask(:delete, "/photos/#{shown[0]["id"]}")
    expect(logged.call).to be_empty
  end

  it "rejects non-photos, too large, too many, or without a place" do
    expect(fields(send_photo(address("/photos?step=front.left.judge"), "no picture"))).to eq("photo" => "unreadable")
    expect(fields(photograph("front.left.dance"))).to eq("step" => "unknown_step")
    send_photo(address("/photos?step=front.left.judge"), "x" * ((6 * 1024 * 1024) + 1))
    expect(status).to eq(413)
    12.times { photograph("front.left.judge") }
    expect(fields(photograph("front.left.judge"))).to eq("photo" => "too_many")
    %w[/jobs/99/photos?step=x /inspections/99/photos].each { |path| send_photo(path) && expect(status).to(eq(404)) }
    [picture(99), ask(:delete, "/photos/99")].each { expect(status).to eq(404) }
  end
end
