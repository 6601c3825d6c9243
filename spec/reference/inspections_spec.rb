# frozen_string_literal: true

require_relative "../support/inspection_case"

# What an experienced mechanic makes of an inspection (spec/reference/inspections.yml, each row with its source),
# against what Graver makes of it.
RSpec.describe "The decision table of inspections" do
  include InspectionCase

  InspectionCase::TABLE
    .fetch("inspections")
    .each do |row|
      it "#{row.fetch("id").tr("-", " ")}: #{row.fetch("because")}" do
        judged = judge(row)
        expect(judged).to match_row(row)
      end
    end

  it "has a source for every row, and rows of every severity" do
    rows = InspectionCase::TABLE.fetch("inspections")
    expect(rows.map { |row| row.fetch("source") }.uniq - InspectionCase::TABLE.fetch("source_titles").keys).to be_empty
    words = rows.flat_map { |row| row.values_at("word", "vehicle_word") }.tally
    expect(words.slice("stop", "plan", "watch", "good").values).to all(be >= 10)
  end
end
