# frozen_string_literal: true

require_relative "../support/plan_builders"

RSpec.describe "Small parts of the core" do
  describe Graver::Core::Value do
    let(:point) { described_class.define(:x, :y) }

    it "is frozen, complete, and copied on change" do
      one = point.new(x: 1, y: 2)
      expect([one.frozen?, one.with(y: 3).to_h, one.y, one == point.new(x: 1, y: 2)]).to eq(
        [true, { x: 1, y: 3 }, 2, true]
      )
      expect { point.new(x: 1) }.to raise_error(ArgumentError, /requires y/)
      expect { point.new(x: 1, y: 2, z: 3) }.to raise_error(ArgumentError)
    end
  end

  describe Graver::InvalidEntry do
    it "reports faults of a nested record" do
      fault = ->(field) { described_class::FieldError.new(field:, code: "c", message: field) }
      outer = described_class.new([fault["value"], fault[""]]).under("readings.3")
      expect(outer.faults.map(&:field)).to eq(%w[readings.3.value readings.3])
      expect(outer.message).to eq("value; ")
    end
  end

  describe Graver::Core::Judgement::RuleEngine do
    def rule(id, severity, measure, at_least: nil, at_most: nil)
      Graver::Core::Judgement::Rule.new(
        topic: nil,
        id:,
        severity:,
        measure:,
        at_least:,
        at_most:,
        sentence: "",
        source: "own-choice"
      )
    end

    let(:engine) do
      described_class.new(
        [
          rule("a", "stop", "x", at_least: 5),
          rule("b", "plan", "x", at_least: 2),
          rule("c", "plan", "y", at_most: 1),
          rule("d", "fine", "x", at_least: 0)
        ]
      )
    end

    it "returns the first severity that holds with every reason" do
      expect(engine.call({ "x" => 6, "y" => 0 })).to have_attributes(
        severity: "stop",
        rules: [have_attributes(id: "a")]
      )
      expect(engine.call({ "x" => 3, "y" => 0 }).rules.map(&:id)).to eq(%w[b c])
    end

    it "doesn't judge the unknown" do
      expect(engine.call({ "x" => nil, "y" => nil })).to be_nil
      expect(engine.call({ "y" => 1 }).severity).to eq("plan")
    end
  end

  describe Graver::Core::Planning::TorqueCard do
    include PlanBuilders

    let(:placed) do
      [PlanBuilders::P::PlannedStep.new(step: KNOWLEDGE.procedure.step("star"), lift: "front", axle: nil, side: nil)]
    end
    let(:fasteners) { KNOWLEDGE.fasteners.to_h { |fastener| [fastener.id, fastener] } }

    def lines(data) = described_class.new.call(placed, setup("front", ["pads"]), fasteners:, data:)
    def number(text) = Graver::Core::Quantity::EnteredNumber.parse(text)
    def nut(text, source: "manual")
      {
        "wheel_nut.torque" => {
          value: text,
          unit: "N·m",
          source:,
          rivals: [],
          torque: Graver::Core::Planning::Torque.parse(text, "N·m")
        }
      }
    end

    it "uses the owner's count of wheel nuts, with star pattern and second stage" do
      data = {
        "wheel_nut.count" => {
          value: "5",
          number: number("5")
        },
        "wheel_nut.angle" => {
          value: "90",
          number: number("90")
        },
        **nut("120")
      }
      expect(lines(data)).to contain_exactly(
        have_attributes(
          axle: "front",
          count: 10,
          star: [1, 3, 5, 2, 4],
          doubt: nil,
          source: "manual",
          angle_degrees: 90.0,
          hearsay: false
        )
      )
    end

    it "leaves missing torques open and questions implausible or second-hand ones" do
      expect(lines({}).first).to have_attributes(
        count: nil,
        torque: nil,
        star: nil,
        drive: nil,
        single_use: false,
        angle_degrees: nil
      )
      expect(lines(nut("12")).first.doubt).to eq("ten_times")
      expect(lines(nut("120", source: "copied")).first.hearsay).to be(true)
    end
  end

  describe Graver::Core::Planning::PartsList do
    include PlanBuilders

    it "counts parts per set, corner, sensor and single-use bolt" do
      torque = [
        instance_double(
          Graver::Core::Planning::TorqueCard::Line,
          single_use: true,
          comes_with_pads: false,
          count: 4,
          label: "Slide pin bolts",
          fastener: "slide_pin_bolt"
        )
      ]
      lines =
        described_class.new.call(
          KNOWLEDGE.parts,
          setup("front", %w[pads sensors], calipers: "floating_spring_retainer", sensors: %w[left right]),
          torque
        )
      expect(lines.to_h { |line| [line.id, line.count] }).to eq(
        "pads" => 1,
        "retainer_spring" => 2,
        "wear_sensor" => 2,
        "single_use.slide_pin_bolt" => 4
      )
      expect(lines.map(&:label)).to include("New slide pin bolts", "Set of pads for the whole axle (4 pads)")
    end
  end
end
