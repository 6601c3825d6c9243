# frozen_string_literal: true

require_relative "../../benchmarks/request_reach"

# Counts, not times: files entered, statements run and bytes answered, each within its aim.
RSpec.describe Benchmarks::RequestReach do
  counted = nil
  let(:reached) { counted ||= described_class.new.call }

  described_class::AIMS.each do |what, (files, statements, bytes)|
    it "answers #{what} within #{files} files, #{statements} statements and #{bytes} bytes" do
      expect(reached.fetch(what)).to have_attributes(
        files: have_attributes(length: be <= files),
        statements: have_attributes(length: be <= statements),
        bytes: be <= bytes
      )
    end
  end
end
