# frozen_string_literal: true

require "prism"

RSpec.describe Graver::Say::Texts do
  # Keys the code names: as they stand, or put together from a state or an event.
  def self.named
    files = Dir.glob("#{Graver::Boot::ROOT}/lib/graver/**/*.rb").map { |file| File.read(file) }
    files
      .flat_map do |text|
        text.scan(/"((?:#{described_class.all.keys.map { |key| key.split(".").first }.uniq.join("|")})\.\w+)"/).flatten
      end
      .uniq
  end

  put_together =
    {
      "timeline.job_" => %w[draft ready in_progress],
      "timeline.label_" => %w[look renew order due retorque first_reading relook job],
      "backups." => %w[daily by_hand before_upgrade before_import before_restore],
      "log." => [
        "squealer",
        "sensor",
        "metal",
        *%w[reading fit squealer sensor metal resurfaced freed answered odometer renewed bled].map do |event|
          "event_#{event}"
        end
      ],
      "help." => [
        "all_all",
        *%w[gamma restless careless calm hills motorway town].map { |name| "world_#{name}" },
        *%w[steady mixed drifting jump seized gross single earlier rotors calipered ordinary].map do |name|
          "regime_#{name}"
        end,
        *%w[fresh glances unlogged claimed towing season quickening heavy slips lip electric].map do |name|
          "regime_#{name}"
        end
      ],
      "drills." => [
        *%w[micrometer vernier dial leaf lip uneven rotor order part first grease].map { |kind| "#{kind}_label" },
        *%w[micrometer inch_micrometer]
          .product(%w[whole turn missed early whole_off])
          .map { |instrument, said| "#{instrument}_#{said}" },
        *%w[vernier inch_vernier].product(%w[because wrong_line]).map { |instrument, said| "#{instrument}_#{said}" },
        *%w[exactly between at_least under].map { |choice| "leaf_#{choice}" },
        *%w[edge groove hat].map { |place| "lip_at_#{place}" },
        *%w[replace measure_again stay will_not_outlast].map { |outcome| "lip_#{outcome}" },
        *%w[left_pins right_pins left_corner right_corner nothing].map { |pattern| "uneven_#{pattern}" },
        *%w[pins corner nothing].map { |pattern| "uneven_because_#{pattern}" },
        *%w[stay turn replace measure_again].map { |outcome| "rotor_#{outcome}" },
        *%w[stay replace measure_again].map { |outcome| "rotor_because_#{outcome}" }
      ],
      "doctor." => %w[
        ruby
        interface
        not_built
        built_before
        jpegtran
        no_jpegtran
        file
        photos
        times
        backups
        disk
        clock
        port
        running
        port_taken
        port_refused
      ],
      "report." => %w[
        title
        made
        foot
        name
        make
        model
        year
        plate
        vin
        odometer
        state
        axle
        last_read
        unknown
        set_now
        set_was
        never_read
        first
        uneven
        seen
        data_of
        not_known
        photo
      ],
      "exchange." => Graver::Storage::OpenFormat::Tree.tables.keys.map { |table| "table_#{table}" },
      "jobs." => %w[fluid_draw_off fluid_needed],
      "part_names." => %w[rotor rotors shoe brake_shoe brake_shoes]
    }.flat_map { |start, ends| ends.map { |last| start + last } }

  it "has every text the code uses and no other" do
    expect(self.class.named - described_class.all.keys).to be_empty
    expect(described_class.all.keys - self.class.named - put_together).to be_empty
  end

  # Texts must not be glued together. Only the two list joiners may be short.
  it "is whole: none starts in the middle of a sentence" do
    glued =
      described_class
        .all
        .except("jobs.then", "jobs.and_more", "log.and_more")
        .select { |_, text| text.match?(/\A[\s,;.]/) }
    expect(glued).to be_empty
  end

  it "has a known type for every token" do
    types = described_class.all.values.flat_map { |text| text.scan(described_class::TOKEN).map(&:last) }.compact.uniq
    expect(types - described_class::TYPES.keys).to be_empty
  end

  it "formats each kind of figure one way" do
    expect(described_class.t("faults.between_got", least: 0.05, most: 3000, unit: "N·m", value: 4321.987)).to eq(
      "Enter a value from 0.05 to 3,000\u00A0N·m; you entered 4322\u00A0N·m."
    )
    expect(described_class.t("faults.choose", choices: %w[mm in thou])).to eq("Choose mm, in or thou.")
    expect([1, 3].map { |count| described_class.t("log.read", count:, axle: "front", part: "pad") }).to eq(
      ["1 front pad measured", "3 front pads measured"]
    )
    expect(described_class.t("timeline.look_within", axle: "front", unit: "mi", km: 15_234)).to eq(
      "Inspect the front brakes (within 9,500\u00A0mi)"
    )
    expect(described_class.t("faults.runs_back_log", km: 95_240, day: Date.new(2026, 5, 4))).to eq(
      "The odometer goes down compared with 95,240\u00A0km on 4 May 2026 in the log. Check the date or the figure."
    )
  end

  it "names no axle where a trailer has only one" do
    expect(described_class.t("timeline.look", axle: "front")).to eq("Inspect the front brakes")
    expect(described_class.t("timeline.look", axle: "single")).to eq("Inspect the brakes")
  end

  it "has no half sentences" do
    expect { described_class.t("faults.nowhere") }.to raise_error(KeyError)
    expect { described_class.t("faults.between", least: 1) }.to raise_error(KeyError)
  end

  # What an owner reads is a sentence: it begins with a capital and ends with a stop. What is put inside one is not.
  it "says what to do" do
    faults =
      described_class.all.select { |key, _| key.start_with?("faults.", "missing.", "conflicts.", "devices.") }.values
    expect(faults.grep_v(/\A["“{A-Z].*[.?]\z/)).to be_empty
    expect(described_class.all.values.grep(/\bneeds\b|cannot be meant|is no mark|nought|school/i)).to be_empty
  end
end
