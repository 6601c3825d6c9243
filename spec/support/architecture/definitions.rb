# frozen_string_literal: true

require "prism"

class Architecture
  # Full names of what a file defines.
  class Definitions < Prism::Visitor
    def self.of(tree) = new.tap { |visitor| visitor.visit(tree) }.names

    attr_reader :names

    def initialize
      super
      @nesting = []
      @names = []
    end

    def visit_module_node(node) = inside(node) { super }
    def visit_class_node(node) = inside(node) { super }
    def visit_constant_write_node(node) = (@names << [*@nesting, node.name].join("::")) && super

    private

    def inside(node)
      @nesting.push(node.constant_path.slice)
      @names << @nesting.join("::")
      yield
      @nesting.pop
    end
  end
end
