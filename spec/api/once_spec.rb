# frozen_string_literal: true

require_relative "../support/api_helper"

RSpec.describe "Writing once, and in order" do
  include ApiHelper

  def send_with(key, path, body)
    header "Idempotency-Key", key
    ask(:post, path, body)
  ensure
    header "Idempotency-Key", nil
  end

  def logged = context.store.inspections.of_vehicle(car["id"])

  it "answers a repeated request with the first answer, once" do
    content = inspection("2026-05-01", "60000", pad("7.4"))
    answers = Array.new(3) { send_with("key-of-one-press", inspections, content) }
    expect([status, answers.uniq.length, logged.length]).to eq([201, 1, 1])
    other = send_with("key-of-another", inspections, inspection("2026-05-02", "60010", pad("7.4")))
    expect([other == answers.first, logged.length]).to eq([false, 2])
    bike = ask(:post, "/vehicles", { name: "Wren", kind: "car" })
    send_with(
      "key-of-one-press",
      "/vehicles/#{bike["id"]}/fluid-renewals",
      { date: "2026-05-01", odometer: { value: "1" } }
    )
    expect(context.store.inspections.of_vehicle(bike["id"]).length).to eq(1)
  end

  it "refuses a key that belongs to another request, and still answers the first" do
    first = inspection("2026-05-01", "60000", pad("7.4"))
    answer = send_with("key-of-one-press", inspections, first)
    send_with("key-of-one-press", inspections, inspection("2026-05-02", "60010", pad("7.1")))
    expect([status, logged.length]).to eq([409, 1])
    expect(send_with("key-of-one-press", inspections, first)).to eq(answer)
    # kept before Graver knew what was asked
    context.store.idempotent_responses.keep("an-older-key", inspections, answer, at: "2026-05-16T00:00:00Z")
    expect(send_with("an-older-key", inspections, inspection("2026-05-02", "60010", pad("7.1")))).to eq(answer)
  end

  it "keeps nothing of a rejected request, so it can be corrected and sent again" do
    refused = send_with("key-of-one-press", inspections, inspection("2026-05-01", "many", pad("7.4")))
    expect(fields(refused)).to eq("odometer.value" => "not_a_number")
    send_with("key-of-one-press", inspections, inspection("2026-05-01", "60000", pad("7.4")))
    expect([status, logged.length]).to eq([201, 1])
    send_with("a b", inspections, inspection("2026-05-02", "60001", pad("7.4")))
    expect(status).to eq(400)
  end

  it "forgets old answers" do
    given = context.store.idempotent_responses
    given.keep("old-request", "/x", { id: 1 }, at: "2026-05-01T00:00:00Z")
    given.keep("new-request", "/x", { id: 2 }, at: "2026-05-16T00:00:00Z")
    expect([given.of("old-request", "/x"), given.of("new-request", "/x").answer]).to eq([nil, { id: 2 }])
  end

  # Two windows at once: whether the odometer runs back is decided inside the write lock.
  it "never logs a backwards odometer from two simultaneous requests" do
    id = car["id"]
    takers =
      Array.new(4) do |at|
        Thread.new do
          4.times do |turn|
            day = Date.new(2026, 1, 1) + (7 * turn) + at
            km = 60_000 + (((at * 7) + (turn * 3)) % 11 * 100)
            given = {
              date: day.iso8601,
              odometer: {
                value: km.to_s,
                keep: true
              },
              readings: [pad("7.4", answer: "keep")]
            }
            Graver::Service::Measuring::LogInspection.new(context.for_request).call(id, { conditions: [], **given })
          rescue Graver::InvalidEntry
            nil
          end
        end
      end
    takers.each(&:join)
    rows = logged.map { |each| [each.date, each.odometer_km] }
    expect(rows.length).to be > 2
    expect(rows.sort.map(&:last)).to eq(rows.map(&:last).sort)
  end

  it "starts an import once" do
    upload = "/vehicles/#{car["id"]}/imports?name=mine.csv"
    header "Host", "127.0.0.1"
    header "Content-Type", "text/csv"
    columns = "date,odometer,axle,part,side,pad,event,method,value"
    post "/api/v1#{upload}", "#{columns}\n2026-01-01,50000,front,pad,left,inner,reading,caliper,8\n"
    made = JSON.parse(plain(last_response.body))
    importing = Graver::Service::Tables::ImportLog.new(context.for_request)
    mapping = made["guess"]
    expect { 2.times { importing.take(importing.find(made["id"]), mapping) } }.to raise_error(Graver::Conflict)
    expect(logged.length).to eq(1)
    expect(ask(:get, "/imports/#{made["id"]}")["state"]).to eq("done")
  end
end
