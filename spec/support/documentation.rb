# frozen_string_literal: true

require "prism"

# Public methods of a folder, and those with a comment above them.
class Documentation < Prism::Visitor
  Counted = Struct.new(:all, :told)

  # folder -> Counted
  def self.of(folder)
    found =
      Dir
        .glob("#{folder}/**/*.rb")
        .grep_v(%r{/migrations/})
        .flat_map { |file| new(File.read(file)).public_methods_found }
    Counted.new(found.length, found.count(&:last))
  end

  def initialize(text)
    super()
    parsed = Prism.parse(text)
    @comments = parsed.comments.map { |comment| comment.location.start_line }
    @open = true
    @found = []
    visit(parsed.value)
  end

  # [[name, whether a comment stands above it], ...]
  def public_methods_found = @found

  def visit_class_node(node) = inside { super }
  def visit_module_node(node) = inside { super }

  def visit_call_node(node)
    @open = false if node.receiver.nil? && node.arguments.nil? && %i[private protected].include?(node.name)
    hide(node) if node.name == :private_class_method
    super
  end

  def visit_def_node(node)
    return if !@open || node.name == :initialize

    @found << [node.name, @comments.include?(node.location.start_line - 1)]
  end

  private

  def hide(node)
    names = node.arguments.arguments.grep(Prism::SymbolNode).map { |each| each.unescaped.to_sym }
    @found.reject! { |name, _| names.include?(name) }
  end

  def inside
    before, @open = @open, true
    yield
    @open = before
  end
end
