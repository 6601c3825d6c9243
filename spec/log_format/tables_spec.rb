# frozen_string_literal: true

RSpec.describe "A person's own table" do
  table = Graver::LogFormat::Table

  it "parses the usual separators, encodings, line ends and quotes" do
    expect(table.read("\uFEFFa;b\r\n1;2\r\n\r\n3;4\r\n")).to have_attributes(
      header: %w[a b],
      rows: [[2, %w[1 2]], [4, %w[3 4]]],
      separator: ";"
    )
    expect(table.read("a\tb\n1\t2").rows).to eq([[2, %w[1 2]]])
    expect(table.read("Tag,Bel\xE4ge\n1,2\n".b).header).to eq(%w[Tag Beläge])
    # RFC 4180: a quoted field may hold separators, line ends and doubled quotes
    expect(table.read("a,b\n\"1,5\",\"say \"\"no\"\"\nand go\"\n2,x\n").rows).to eq(
      [[2, ["1,5", "say \"no\"\nand go"]], [4, %w[2 x]]]
    )
    broken = table.read("a,b\n\"1,2\n3,4\n")
    expect([broken.rows, broken.broken.map(&:first)]).to eq([[[3, %w[3 4]]], [2]])
  end

  it "comes back as it was, however it was defused" do
    dice = Random.new(7)
    signs = ["=", "'", ";", "\t", "a", "-", "\n", "|", "@", "\r", "+"]
    defused = Graver::LogFormat::CsvText
    5000.times do
      text = Array.new(dice.rand(9)) { signs.sample(random: dice) }.join
      expect(defused.plain(defused.safe(text))).to eq(text)
      expect(defused.safe(text).split(/[;\t|\r\n]/)).not_to include(match(/\A[=+\-@]/))
    end
  end

  it "rejects machine-made rubbish early, and a file of empty lines" do
    wide = (["x"] * 300).join(",")
    [",", "\""].each do |sign|
      odd = table.read("a,b\n#{sign * 30_000}\n1,2\n#{"y" * 20_001}\n#{wide}\n3,4\n")
      expect([odd.rows, odd.broken.map(&:first)]).to eq([[[3, %w[1 2]], [6, %w[3 4]]], [2, 4, 5]])
    end
    refused =
      lambda do |text|
        table.read(text)
      rescue Graver::InvalidEntry => e
        e.faults.first.code
      end
    expect(["\n" * 800_001, "\r" * 800_001, "#{wide}\n1,2\n"].map { |text| refused[text] }).to eq(
      %w[too_many too_many too_wide]
    )
    long = table.read("a,b\n\"#{"z" * 3000}\",1\n2,3\n")
    expect([long.rows.last, long.broken]).to eq([[3, %w[2 3]], []])
  end

  describe Graver::LogFormat::ColumnMapping do
    def mapped(cells, date: "iso", odometer: {})
      reading = {
        "column" => 2,
        "axle" => {
          "is" => "front"
        },
        "side" => {
          "column" => 3
        },
        "part" => {
          "is" => "pad"
        }
      }
      described_class
        .new(
          {
            "date" => {
              "column" => 0,
              "format" => date
            },
            "odometer" => {
              "column" => 1,
              **odometer
            },
            "readings" => [reading]
          },
          4
        )
        .call(cells)
        .first
    end

    it "parses dates as written and reports invalid ones" do
      { "iso" => "2025-4-12", "dmy" => "12.04.2025", "mdy" => "04/12/2025", "ymd" => "20250412" }.each do |format, text|
        expect(mapped([text, "1", "8", "L"], date: format)["date"]).to eq("2025-04-12"), format
      end
      expect(mapped(%w[12/4/98 1 8 L], date: "dmy")["date"]).to eq("1998-04-12")
      expect(mapped(%w[31.02.2025 1 8 L], date: "dmy")["date"]).to eq("31.02.2025")
      expect(mapped(%w[2025-04-12T08:15:00 1 8 L])["date"]).to eq("2025-04-12")
    end

    it "accepts thousands separators in odometers, but not in Graver's own log" do
      written = ["61.200", "61,200 km", "61 200", "1.061.200", "61200", "61.5"]
      expect(written.map { |text| mapped(["2025-04-12", text, "8", "L"])["odometer"] }).to eq(
        %w[61200 61200 61200 1061200 61200 61.5]
      )
      expect(mapped(%w[2025-04-12 61.200 8 L], odometer: { "plain" => true })["odometer"]).to eq("61.200")
    end

    it "accepts people's words and skips rows without a reading" do
      expect(%w[L lh LEFT r Rh].map { |word| mapped(["2025-04-12", "1", "8", word])["side"] }).to eq(
        %w[left left left right right]
      )
      expect(mapped(["2025-04-12", "1", " ", "L"])).to be_nil
    end
  end

  it "guesses columns by name, day first if ambiguous" do
    guess =
      lambda do |header, *rows|
        Graver::LogFormat::MappingGuess.new(header, rows.each_with_index.map { |cells, at| [at + 2, cells] }).call
      end
    expect(guess[%w[Datum Mileage], %w[04/05/2025 1]]["date"]["format"]).to eq("dmy")
    expect(guess[%w[When Odo], %w[04/13/2025 1]]["date"]["format"]).to eq("mdy")
    # one mistyped day changes nothing; where all could be read both ways, days do not run back
    days = ->(*list) { guess[%w[Date km], *list.map { |text| [text, "1"] }]["date"]["format"] }
    expect(days["12.04.2025", "25.05.2025", "31.06.2025", "1.13.2025"]).to eq("dmy")
    expect(days["04/13/2025", "31/12/2025", "05/20/2025", "06/21/2025"]).to eq("mdy")
    expect(days["01/10/2025", "02/03/2025", "03/12/2025"]).to eq("mdy")
    expect(days["03/12/2025", "02/03/2025", "01/10/2025"]).to eq("mdy")
    expect(days["2025-02-30", "no idea"]).to eq("iso")
    found = guess[["Date", "miles", "Rear left outer 32nds", "RR disc", "weather"]]
    expect(found["odometer"]).to eq("column" => 1, "unit" => "mi")
    expect(found["readings"].map { |reading| reading.except("column").transform_values { |where| where["is"] } }).to eq(
      [
        {
          "axle" => "rear",
          "side" => "left",
          "part" => "pad",
          "pad" => "outer",
          "method" => "caliper",
          "unit" => "32nd"
        },
        { "axle" => "rear", "side" => "right", "part" => "rotor", "method" => "micrometer", "unit" => "mm" }
      ]
    )
  end
end
