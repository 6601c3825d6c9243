# frozen_string_literal: true

require "prism"

class Architecture
  # What one file names and calls that it may not.
  class Reader < Prism::Visitor
    def initialize(path, defined)
      super()
      @path = path
      @room = path[%r{\A[^/]+(?=/)}]
      @defined = defined
      @nesting = []
      @strays = []
      @named = []
    end

    # strays: what it may not; named: files whose constants it names
    Found = Struct.new(:strays, :named)

    def call(tree)
      visit(tree)
      Found.new(@strays.uniq, @named.uniq)
    end

    def visit_module_node(node) = inside(node)
    def visit_class_node(node) = inside(node)
    def visit_constant_path_node(node) = name(node.slice.delete_prefix("::"), rooted: node.slice.start_with?("::"))
    def visit_constant_read_node(node) = name(node.name.to_s)

    def visit_call_node(node)
      requires(node) if node.receiver.nil? && %i[require load require_relative autoload].include?(node.name)
      hidden(node)
      outside(node)
      made(node) if @path.start_with?("api/serializers/")
      time_and_chance(node)
      stray("reaches the records") if @room == "api" && %i[store transaction].include?(node.name)
      super
    end

    def visit_x_string_node(_) = stray("runs another program")
    def visit_interpolated_x_string_node(_) = stray("runs another program")
    def visit_global_variable_read_node(node)
      (stray("reads #{node.name}") unless %i[$stdin $stdout $stderr].include?(node.name) && free?(%w[cli]))
    end

    def visit_global_variable_write_node(node) = stray("sets #{node.name}")
    def visit_class_variable_read_node(node) = stray("keeps #{node.name}")
    def visit_class_variable_write_node(node) = stray("keeps #{node.name}")
    def visit_class_variable_or_write_node(node) = stray("keeps #{node.name}")

    # A constant that can be changed is a global.
    def visit_constant_write_node(node)
      stray("can change #{node.name}") if @room == "core" && changeable?(node.value)
      super
    end

    # "service/jobs/order/steps.rb" -> "jobs/order"
    def self.service_room(path) = File.dirname(path).delete_prefix("service/")

    private

    def inside(node)
      visit(node.superclass) if node.respond_to?(:superclass) && node.superclass
      @nesting.push(node.constant_path.slice)
      visit(node.body) if node.body
      @nesting.pop
    end

    def stray(text) = @strays << text
    def free?(places) = places.any? { |place| @path == place || @path.start_with?("#{place}/") }

    # As Ruby looks a name up: innermost namespace first.
    def resolve(name)
      @nesting
        .length
        .downto(0) do |depth|
          first = [*@nesting.take(depth), name.split("::").first].join("::")
          return [*@nesting.take(depth), name].join("::") if @defined.key?(first)
        end
      nil
    end

    def name(name, rooted: false)
      full = rooted ? name : resolve(name)
      return foreign(name) unless full&.start_with?("Graver")

      path = home(full) or return
      @named << path
      room = path.include?("/") ? path.split("/").first : File.basename(path, ".rb")
      own(full, room, path)
    end

    # The file of the longest part of a name that one defines.
    def home(full)
      parts = full.split("::")
      parts
        .length
        .downto(2) do |length|
          (path = @defined[parts.take(length).join("::")]) && (return path unless namespace?(parts.take(length)))
        end
      nil
    end

    def namespace?(parts) = parts.length == 2 && ROOMS.keys.any? { |room| parts.last.downcase == room.delete("_") }

    def own(full, room, path)
      return if @room.nil? || !(ROOMS.key?(room) || room == "boot") # errors and the loader are everybody's
      return stray("names #{full}") unless ROOMS.fetch(@room).include?(room)
      return unless @room == "service" && room == "service"

      mine, theirs = [@path, path].map { |each| self.class.service_room(each) }
      stray("names #{full}, which lies above it") unless mine == theirs || SERVICES.fetch(mine).include?(theirs)
    end

    def foreign(name)
      root = name.split("::").first
      REACH.each do |what, (names, places)|
        stray("reaches for #{what}: #{name}") if names.include?(root) && !free?(places) && !known_use?(what, name)
      end
    end

    # A path joined is no file read; the message of a file's error is none either.
    def known_use?(what, name) = what == :files && name == "File::SEPARATOR"

    def outside(node)
      called = node.name.to_s
      return unless OUTSIDE.include?(called) && !free?(OUTSIDE_ALLOWED)
      return if node.receiver && !%w[Kernel Process $stdout $stderr STDOUT STDERR].include?(node.receiver.slice)

      stray("reaches outside: #{called}") if node.arguments || !%w[p print].include?(called)
    end

    # A serializer is handed finished values.
    def made(node)
      return unless %i[new call].include?(node.name) && node.receiver

      full = resolve(node.receiver.slice).to_s
      return if MADE_BY_SERIALIZERS.include?(full)

      engine = full.start_with?("Graver::Core::") || (full.start_with?("Graver::Service::") && node.name == :new)
      stray("runs #{full}") if engine
    end

    def changeable?(value)
      return false unless value.is_a?(Prism::CallNode) && value.name != :freeze

      of = value.receiver
      [Prism::HashNode, Prism::ArrayNode, Prism::StringNode].any? { |kind| of.is_a?(kind) } ||
        (value.name == :new && %w[Hash Array String Set].include?(of&.slice))
    end

    def requires(node)
      target = node.arguments&.arguments&.first
      return stray("requires what cannot be read") unless target.is_a?(Prism::StringNode)

      allowed = STANDARD + GEMS.fetch(@room, %w[rack rack/protection fiddle])
      stray("requires #{target.unescaped}") unless node.name == :require && allowed.include?(target.unescaped)
    end

    def hidden(node)
      called = node.name.to_s
      return unless HIDDEN.include?(called) && !free?(HIDDEN_ALLOWED.fetch(called, []))
      return if %w[require_relative load autoload].include?(called)
      return if %w[open load].include?(called) && node.receiver && !%w[Kernel URI].include?(node.receiver.slice)

      stray("hides what it calls: #{called}")
    end

    def time_and_chance(node)
      called = node.name.to_s
      clock =
        node.receiver && CLOCK.include?([node.receiver.slice.delete_prefix("::"), called]) &&
          !(called == "new" && node.arguments)
      if clock && !free?(%w[service/base/context.rb storage/backups.rb boot.rb])
        stray("reads the clock: #{node.receiver.slice}.#{called}")
      end
      stray("takes chance: #{called}") if CHANCE.include?(called) && !seeded?(node) && !free?(%w[devices/simulated])
      if node.receiver && SHUFFLING.include?(called) && !node.arguments&.slice.to_s.include?("random:") &&
           !node.receiver&.slice.to_s.end_with?("vehicle")
        stray("takes chance: #{called}")
      end
    end

    def seeded?(node) = !node.receiver.nil? && !%w[Kernel Random].include?(node.receiver.slice)
  end
end
