# frozen_string_literal: true

require "prism"

# Every code of a fault written in the code, read off its syntax trees, and those of the questions about an odometer.
module FaultCodes
  # Passed on from Core::Judgement::OdometerQuestion, not written where the fault is made.
  PASSED_ON = %w[too_far_ahead other_distance_unit].freeze
  # Faults of a log name a line and a column, and have no code.
  WITHOUT = %w[log_format/log_reader.rb].freeze

  module_function

  def of(folder)
    files = Dir["#{folder}/**/*.rb"].reject { |file| WITHOUT.any? { |without| file.end_with?(without) } }
    (files.flat_map { |file| codes(Prism.parse_file(file).value) } + PASSED_ON).uniq
  end

  def codes(node)
    [*(node.is_a?(Prism::CallNode) ? code(node) : nil), *node.compact_child_nodes.flat_map { |child| codes(child) }]
  end

  # fault("field", "code", ...), refuse(...), InvalidEntry.of(...), or InvalidEntry::FieldError.new(code: "code")
  def code(call)
    found = made_of_parts?(call) ? call.arguments.arguments[1] : named_code(call)
    found.unescaped if found.is_a?(Prism::StringNode)
  end

  def made_of_parts?(call)
    return call.receiver&.slice == "InvalidEntry" if call.name == :of

    %i[fault refuse].include?(call.name) && call.arguments&.arguments&.length == 3
  end

  def named_code(call)
    return unless call.name == :new && call.receiver&.slice == "InvalidEntry::FieldError"

    call.arguments.arguments.flat_map(&:elements).find { |pair| pair.key.slice == "code:" }&.value
  end
end
