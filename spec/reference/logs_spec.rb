# frozen_string_literal: true

require_relative "../support/owner_log"

# Logs as owners write them, against what an experienced mechanic would say.
RSpec.describe "Logs as owners write them" do
  OwnerLog::ROWS.each do |row|
    it "#{row.fetch("id")}: #{row.fetch("says")}" do
      log = OwnerLog.new(row)
      result = log.result
      expect(result.first.quantile(0.5)).to be_between(*row.fetch("km"))
      expect(result.first.quantile(0.1)).to be_between(*row["careful"]) if row["careful"]
      expect(log.answer.look_again_at_either_km).to be_between(*row["look"]) if row["look"]
      doubts(row, result.doubted.map { |doubt| doubt[:ref] }.uniq)
      expect(result.renewed.any?).to be(row["unlogged"]) if row.key?("unlogged")
      changes(row, result)
    end
  end

  def doubts(row, doubted)
    expect(doubted).to eq(row["doubted"]) if row["doubted"]
    expect(doubted & row["doubted_any"]).to eq(row["doubted_any"]) if row["doubted_any"]
  end

  # A pad nobody has read is not evidence.
  def changes(row, result)
    expect(result.changed.fetch(row["changed"])[:chance]).to be > 0.5 if row["changed"]
    return unless row["calm"]

    expect(result.changed.values.map { |change| change[:chance] }.max).to be < 0.3
    expect(result.chance_below("left_inner", row["limit"])).to be < 0.2
  end

  it "are as many as were asked for, and each says something else" do
    expect(OwnerLog::ROWS.length).to be >= 48
    expect(OwnerLog::ROWS.map { |row| row["says"] }.uniq.length).to eq(OwnerLog::ROWS.length)
  end
end
