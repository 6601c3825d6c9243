# frozen_string_literal: true

require "prism"

module Benchmarks
  # Small, realistic bugs, planted in the syntax tree: a bound moved by one, a comparison reversed, a guard removed, one
  # branch always taken.
  class Mutants < Prism::Visitor
    # at, span: bytes of the file; statement: first and last line of the statement it is in
    Mutant =
      Struct.new(:file, :line, :statement, :at, :span, :before, :after, keyword_init: true) do
        def apply(text) = text.b.tap { |bytes| bytes[at, span] = after.b }.force_encoding(Encoding::UTF_8)
        def to_s = "#{file}:#{line}  #{before.gsub(/\s+/, " ")[0, 70]}  ->  #{after.gsub(/\s+/, " ")[0, 70]}"
      end
    SWAPS = {
      :>= => ">",
      :> => ">=",
      :<= => "<",
      :< => "<=",
      :== => "!=",
      :!= => "==",
      :+ => "-",
      :- => "+",
      :min => "max",
      :max => "min",
      :any? => "none?",
      :none? => "any?",
      :all? => "any?",
      :select => "reject",
      :reject => "select",
      :first => "last",
      :last => "first",
      :min_by => "max_by",
      :max_by => "min_by",
      :positive? => "negative?",
      :floor => "ceil",
      :ceil => "floor",
      :intersect? => "disjoint?"
    }.freeze
    DISJOINT = "disjoint?"

    # file: as it is named; text: its Ruby -> [Mutant]
    def self.of(file, text) = new(file, text).tap { |mutants| mutants.visit(Prism.parse(text).value) }.found

    attr_reader :found

    def initialize(file, text)
      super()
      @file = file
      @text = text
      @found = []
      @statement = nil
    end

    def visit_statements_node(node)
      around = @statement
      node.body.each do |statement|
        @statement = statement.location.start_line..statement.location.end_line
        statement.accept(self)
      end
      @statement = around
    end

    def visit_call_node(node)
      swap = SWAPS[node.name]
      plant(node.message_loc, swap) if swap && swap != DISJOINT && node.receiver && node.message_loc
      plant(node.location, node.receiver.slice) if node.name == :! && node.receiver
      super
    end

    def visit_and_node(node) = replace(node.operator_loc, "&&" => "||", "and" => "or") { super }
    def visit_or_node(node) = replace(node.operator_loc, "||" => "&&", "or" => "and") { super }
    def visit_true_node(node) = plant(node.location, "false")
    def visit_false_node(node) = plant(node.location, "true")

    def visit_integer_node(node)
      plant(node.location, (node.value + 1).to_s) if node.slice.match?(/\A\d+\z/) && node.value < 10_000
    end

    def visit_if_node(node)
      condition(node)
      super
    end

    def visit_unless_node(node)
      condition(node)
      super
    end

    private

    def condition(node)
      guard =
        node.end_keyword_loc.nil? && node.statements &&
          node.location.start_offset == node.statements.location.start_offset
      # a guard that never applies, or an answer that is never given
      plant(node.predicate.location, node.is_a?(Prism::UnlessNode) ? "true" : "false") if guard
      plant(node.predicate.location, "!(#{node.predicate.slice})") unless guard
    end

    def replace(location, swaps)
      after = swaps[location.slice]
      plant(location, after) if after
      yield
    end

    def plant(location, after)
      return if after.nil? || location.slice == after

      @found << Mutant.new(
        file: @file,
        line: location.start_line,
        statement: @statement,
        at: location.start_offset,
        span: location.length,
        before: location.slice,
        after:
      )
    end
  end
end
