# frozen_string_literal: true

require "prop_check"

RSpec.describe "Reading logs" do
  let(:specification) do
    Graver::LogFormat::Specification.parse('{"axles":{"front":{"pad":{"new_mm":11,"limit_mm":3,"backing_mm":5}}}}')
  end

  def read(text) = Graver::LogFormat::LogReader.new(KNOWLEDGE.normalise, specification).call(text)
  def faults(text) = read(text).faults.map(&:to_s)

  describe Graver::LogFormat::OdometerOrder do
    def entries(pairs)
      pairs.map do |day, km|
        Graver::Core::Wear::Entry.new(
          date: Date.new(2025, 1, 1) + day,
          odometer_km: km,
          part: "pad",
          side: nil,
          pad: nil,
          event: "reading",
          reading: nil,
          trust: 1.0,
          ref: nil
        )
      end
    end

    it "drops the reading that runs backwards" do
      _, strays = described_class.split(entries([[0, 100], [1, 200], [2, 20], [3, 300]]))
      expect(strays.map(&:odometer_km)).to eq([20])
    end

    it "drops as few readings as an exhaustive search" do
      pair = PropCheck::Generators.tuple(PropCheck::Generators.choose(0..4), PropCheck::Generators.choose(0..5))
      PropCheck.forall(PropCheck::Generators.array(pair, max: 7)) do |pairs|
        kept, strays = described_class.split(entries(pairs))
        ordered = kept.to_a.sort_by { |entry| [entry.date, entry.odometer_km] }.map(&:odometer_km)
        best =
          (0..pairs.length)
            .flat_map do |size|
              pairs
                .sort
                .combination(size)
                .select { |choice| choice.map(&:last).each_cons(2).all? { |one, other| one <= other } }
            end
            .map(&:length)
            .max
        expect([ordered, kept.length, strays.length]).to eq([ordered.sort, best, pairs.length - best])
      end
    end
  end

  it "accepts columns in any order, a byte order mark, quotes, commas and Windows line ends" do
    log =
      "\uFEFFpart,event,axle,odometer,date,value,method,side,pad,note,colour\r\npad,reading,front,\"52000\",2025-03-01,\"8,4\",caliper,left,inner,\"two\r\nlines, quoted\",red\r\n"
    result = read(log)
    expect(result.by_axle["front"].map { |entry| [entry.odometer_km, entry.reading.value.value, entry.ref] }).to eq(
      [[52_000.0, Rational("8.4"), 2]]
    )
    expect(result.faults.map(&:to_s)).to eq(["1: colour: Unknown column, left out."])
  end

  it "reports every fault of a row at once" do
    header = "date,odometer,odometer_unit,axle,side,part,pad,event,method,value,upper,unit,overall"
    expect(faults("#{header}\n1890-01-01,-5,leagues,front,up,wheel,middle,read,caliper,8,,mm,yes")).to contain_exactly(
      "2: date: 1890 can't be the year: check the date.",
      /\A2: odometer_unit:/,
      /\A2: side:/,
      /\A2: part:/,
      /\A2: pad:/,
      /\A2: event:/
    )
    no_value = "2025-01-01,9e9,km,front,left,pad,inner,reading,,,,mm,"
    expect(faults("#{header}\n#{no_value}")).to contain_exactly(
      /odometer: Enter a number/,
      /method: Choose/,
      /value: Enter a number, for example/
    )
    gauge = "2025-01-01,9000,km,front,left,pad,inner,reading,gauge,6,5,mm,"
    percent = "2025-01-01,9000,km,front,left,pad,inner,reading,caliper,8,,percent,"
    expect(faults([header, gauge, percent].join("\n"))).to contain_exactly(
      /\A2: upper: .*thicker/,
      /\A3: unit: Use percent/
    )
  end

  it "reports every fault of a specification by its path" do
    text =
      '{"as_of":{"date":"soon","odometer_km":1},"axles":{"front":{"pad":{"new_mm":-1,"limit_mm":"3"},"rotor":[]},"rear":7}}'
    expect { Graver::LogFormat::Specification.parse(text) }.to raise_error(Graver::InvalidEntry) { |error|
      expect(error.faults.map(&:field)).to include(
        "as_of.date",
        "axles.front.pad.new_mm",
        "axles.front.pad.limit_mm",
        "axles.front.rotor",
        "axles.rear.pad"
      )
    }
    ["", "[]", "{", '{"axles":{}}', "\xFF", "null"].each do |bad|
      expect { Graver::LogFormat::Specification.parse(bad) }.to raise_error(Graver::InvalidEntry)
    end
  end
end
