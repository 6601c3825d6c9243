# frozen_string_literal: true

$LOAD_PATH.unshift File.expand_path("../lib", __dir__)
require "graver"
require_relative "support/wear_builders"

# A figure keeps its unit by a space that doesn't break; specs are written with plain ones.
module PlainSpaces
  def plain(said)
    case said
    when String
      said.dup.force_encoding(Encoding::UTF_8).tr("\u00A0", " ")
    when Graver::Message
      plain(said.to_s)
    when Array
      said.map { |each| plain(each) }
    else
      said
    end
  end
end

RSpec.configure do |config|
  config.include PlainSpaces
  config.expect_with(:rspec) { |expectations| expectations.include_chain_clauses_in_custom_matcher_descriptions = true }
  config.mock_with(:rspec) { |mocks| mocks.verify_partial_doubles = true }
  config.disable_monkey_patching!
  config.order = :random
  Kernel.srand config.seed
end

# The knowledge the project ships, read once for all examples.
KNOWLEDGE = Graver::Knowledge::Library.load
