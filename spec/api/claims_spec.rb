# frozen_string_literal: true

require_relative "../support/findings_helper"

RSpec.describe "Claims and symptoms in the API" do
  include FindingsHelper

  it "compares a claim with the log and rejects an invalid one" do
    ask(:post, inspections, inspection("2026-05-10", "60000", *all_pads("6.1", "6.2", "6.0", "6.3")))
    claim =
      lambda do |value, **more|
        ask(:post, "/vehicles/#{car["id"]}/claims", { axle: front, part: "pad", value:, **more })
      end
    expect(claim["2 mm"]).to include("verdict" => "contradicts", "sentence" => /right inner.*6\.0/)
    expect(claim["0.24", unit: "in"]).to include("verdict" => "fits")
    expect(claim["20", part: "rotor"]).to include("verdict" => "unknown")
    expect(fields(claim["lots"])).to eq("value" => "not_a_number")
    expect(fields(claim["30 %"])).to eq("value" => "unknown_unit")
    expect(fields(claim["1e9"])).to eq("value" => "not_a_number")
    expect(fields(claim["99"])).to eq("value" => "out_of_range")
    expect(fields(claim["2", axle: 77])).to eq("axle" => "unknown_axle")
  end

  it "logs a claim as weak evidence without touching the draft" do
    ask(:post, inspections, inspection("2026-02-10", "60000", *all_pads("6.1", "6.2", "6.0", "6.3")))
    ask(:put, "/vehicles/#{car["id"]}/draft", { content: { any: "thing" }, revision: 0 })
    soonest = -> { ask(:get, "/axles/#{front}/wear")["axle"]["look_again"]["distance_km"] }
    log =
      lambda do |value, odometer, axle = front|
        ask(:post, "/vehicles/#{car["id"]}/claims/log", { axle:, part: "pad", value:, odometer: { value: odometer } })
      end
    expect(fields(log["2", "sixty"])).to eq("odometer.value" => "not_a_number")
    expect(fields(log["99", "60500"])).to eq("value" => "out_of_range")
    expect(fields(log["2", "60500", 77])).to eq("axle" => "unknown_axle")
    expect(fields(log["2", "50000"]).keys).to eq(["odometer.value"])
    log["6", "60500"]
    before = soonest.call
    log["5/32 in", "60501"]
    expect(soonest.call).to be_between(before * 0.6, before * 0.97)
    expect(
      ask(:get, "/axles/#{front}/wear")["why"].grep(/a shop said 3\.97 mm; the thinnest pad is estimated at/)
    ).to be_one
    expect(ask(:get, "/vehicles/#{car["id"]}/draft")["draft"]["content"]).to eq("any" => "thing")
    ask(:post, inspections, inspection("2026-05-16", "60600", { event: "fit", part: "pad", axle: front }))
    expect(ask(:get, "/axles/#{front}/wear")["why"].grep(/a shop said/)).to be_empty
  end

  # common practice, no source: the same driver wears both axles
  it "uses the vehicle's other axle for a little-known one, and says so" do
    rear = car["axles"].last["id"]
    know(rear, %w[pad.new_thickness 11 mm])
    know(front, %w[pad.new_thickness 11 mm])
    look = -> { ask(:get, "/axles/#{front}/wear")["axle"]["pads_life"]["distance_km"]["p50"] }
    ask(
      :post,
      inspections,
      inspection(
        "2024-05-10",
        "20000",
        { event: "fit", part: "pad", axle: front },
        { event: "fit", part: "pad", axle: rear }
      )
    )
    ask(:post, inspections, inspection("2026-05-15", "40000", pad("9.9", axle: rear)))
    slow = look.call
    expect(ask(:get, "/axles/#{front}/wear")["why"].join).to match(
      /This vehicle's rear axle wore about 0\.0[56] mm per 1,000 km/
    )
    ask(:post, inspections, inspection("2026-05-16", "40010", pad("4.0", axle: rear, answer: "keep")))
    expect(look.call).to be < slow * 0.85
  end

  # common practice, no source: grinding, a leak and a sinking pedal stop; a squealer heard while rolling is a pad
  # near its end
  it "ends every symptom in a severity, dangerous ones in stop with licensed help" do
    symptoms = ask(:get, "/symptoms")["symptoms"]
    outcome = ->(id, **answers) { ask(:post, "/vehicles/#{car["id"]}/symptoms", { symptom: id, answers: }) }
    symptoms.each do |symptom|
      choices =
        symptom["questions"].map do |question|
          question["options"].map { |option| [question["id"].to_sym, option["id"]] }
        end
      combinations = choices.empty? ? [[]] : choices.first.product(*choices.drop(1))
      combinations.each do |answers|
        expect(outcome.call(symptom["id"], **answers.to_h)).to include(
          "severity" => match(/stop|plan|watch|good/),
          "causes" => be_any,
          "measure" => match(/\S/)
        )
      end
    end
    [["grinding"], ["pedal", { how: "sinks" }], ["fluid", { where: "drops" }]].each do |id, answers|
      expect(outcome.call(id, **(answers || {}))).to include(
        "severity" => "stop",
        "sentence" => match(/Do not drive.*licensed mechanic/)
      )
    end
    expect(outcome.call("squeal", when: "rolling")["severity"]).to eq("plan")
    expect(fields(outcome.call("squeal"))).to eq("answers.when" => "missing")
    expect(fields(outcome.call("humming"))).to eq("symptom" => "unknown_choice")
  end

  # An answer has the severity of the same mark in an inspection, and stays until it is closed.
  it "logs an answered symptom once, with its mark's severity, until it is closed" do
    answer = ->(symptom, answers = {}) { ask(:post, "/vehicles/#{car["id"]}/symptoms", { symptom:, answers: }) }
    vehicle = -> { ask(:get, "/vehicles/#{car["id"]}") }
    ask(:post, inspections, inspection(ApiHelper::TODAY, "60000", *sound_axles))
    expect(vehicle.call["state"]["severity"]).to eq("good")
    noted = Array.new(2) { answer["pedal", { how: "long" }]["noted"]["id"] }
    expect(noted.uniq.length).to eq(1)
    expect(vehicle.call).to include(
      "state" => include("severity" => "stop"),
      "why" => /long pedal, firm after pumping\..*Do not drive/,
      "follow_ups" => [include("text" => "Noticed: The pedal feels wrong. Long, but firm after pumping")]
    )
    ask(:patch, "/follow-ups/#{noted.first}", { because: "Bled: firm again" })
    expect(vehicle.call["state"]["severity"]).to eq("good")
    # what is normal leaves its trace too, and nothing to do
    expect(answer["squeal", { when: "reverse" }]["noted"]["closed_on"]).to eq(ApiHelper::TODAY)
    expect(vehicle.call["state"]["severity"]).to eq("good")
    # pulsation that was only answered asks for the rotors just as well
    answer["pulsation", { where: "pedal" }]
    expect(rotors["outcome"]).to eq("measure_again")
  end
end
