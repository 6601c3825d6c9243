# frozen_string_literal: true

require "prism"

# Reads the syntax trees of lib/graver and names whatever breaks the one direction of imports or reaches for what its
# room has no business with: clock, chance, environment, files, network, other programs.
class Architecture
  # room => rooms it may name
  ROOMS = {
    "core" => %w[core],
    "log_format" => %w[core log_format],
    "knowledge" => %w[core knowledge],
    "storage" => %w[core storage],
    "devices" => %w[core devices],
    "service" => %w[core knowledge storage log_format devices service],
    "say" => %w[core say],
    "sheet" => %w[say sheet],
    "api" => %w[core service say sheet api],
    "cli" => %w[core knowledge log_format service say cli boot]
  }.freeze
  BELOW_JOBS = %w[base household overview judging forecast measuring workshop].freeze
  PLANNING = [*BELOW_JOBS, "jobs/scope", "jobs/order", "jobs/torque", "jobs/buying", "jobs/money"].freeze
  # Rooms of the services, each with those below it.
  SERVICES = {
    "base" => [],
    "household" => %w[base],
    "overview" => %w[base household],
    "judging" => %w[base household overview],
    "forecast" => %w[base household overview],
    "measuring" => %w[base household overview judging forecast],
    "workshop" => %w[base household overview],
    "training" => %w[base],
    "jobs/scope" => BELOW_JOBS,
    "jobs/order" => [*BELOW_JOBS, "jobs/scope"],
    "jobs/torque" => BELOW_JOBS,
    "jobs/buying" => [*BELOW_JOBS, "jobs/scope"],
    "jobs/money" => [*BELOW_JOBS, "jobs/scope"],
    "jobs/plan" => PLANNING,
    "jobs/at_the_car" => [*PLANNING, "jobs/plan"],
    "jobs/finish" => [*PLANNING, "jobs/plan", "jobs/at_the_car"],
    "tables" => [*PLANNING, "jobs/plan", "jobs/at_the_car", "jobs/finish"]
  }.freeze
  # Standard library and gems each room may require.
  STANDARD = %w[date forwardable time json csv set yaml digest zlib ipaddr].freeze
  GEMS = {
    "core" => %w[numo/narray],
    "knowledge" => %w[json_schemer],
    "storage" => %w[sequel sqlite3 fileutils securerandom openssl exifr/jpeg open3 stringio],
    "sheet" => %w[prawn],
    "api" => %w[sinatra/base dry/validation icalendar rack rqrcode_core puma puma/server socket],
    "cli" => %w[fileutils optparse],
    "service" => %w[bcrypt securerandom],
    "devices" => [],
    "say" => [],
    "log_format" => []
  }.freeze
  # what => constants that reach it, and the only places that may
  REACH = {
    clock: [%w[Process], %w[service/base/context.rb]],
    chance: [
      %w[Random SecureRandom],
      %w[devices/simulated storage/drafts.rb storage/pictures.rb service/household/phone_access.rb]
    ],
    environment: [%w[ENV ARGV], %w[boot.rb cli]],
    files: [
      %w[File IO Dir Pathname FileUtils Tempfile Etc],
      %w[
        knowledge/files.rb
        knowledge/library.rb
        say/texts.rb
        storage/database.rb
        storage/sqlite.rb
        storage/household_file.rb
        storage/household_lock.rb
        storage/backups.rb
        storage/certificate.rb
        storage/pictures.rb
        storage/store.rb
        sheet/paper.rb
        api/web_app.rb
        api/contracts/contract.rb
        cli
        boot.rb
      ]
    ],
    network: [%w[Net Socket TCPSocket UDPSocket TCPServer OpenURI Puma], %w[api/lan_server.rb]],
    programs: [%w[Open3 PTY Process], %w[storage/pictures.rb service/base/context.rb]],
    threads: [
      %w[Thread Mutex Ractor Fiber],
      %w[
        devices/shelf.rb
        say/spoken.rb
        knowledge/library.rb
        service/base
        api/web_app.rb
        api/login_throttle.rb
        api/lan_server.rb
        service/tables/import_log.rb
        boot.rb
      ]
    ]
  }.freeze
  # [receiver, method] of the clock
  CLOCK = [%w[Time now], %w[Date today], %w[DateTime now], %w[Time new], %w[Process clock_gettime]].freeze
  CHANCE = %w[rand srand].freeze
  # A vehicle's `sample` is a separate field.
  SHUFFLING = %w[shuffle shuffle! sample].freeze
  # Ways around what can be read off the tree.
  HIDDEN = %w[
    const_get
    const_missing
    eval
    instance_eval
    class_eval
    module_eval
    require_relative
    load
    autoload
    system
    exec
    spawn
    fork
    open
    popen
    public_send
    send
    __send__
    instance_variable_get
    binding
  ].freeze
  HIDDEN_ALLOWED = {
    "public_send" => %w[api/resource.rb storage/memoized_repository.rb],
    "class_eval" => %w[core/value.rb]
  }.freeze

  # sources: { "service/household/instruments.rb" => Ruby }
  def initialize(sources)
    @trees = sources.transform_values { |text| Prism.parse(text).value }
    @defined = @trees.flat_map { |path, tree| Definitions.of(tree).map { |name| [name, path] } }.to_h
  end

  def self.of_folder(folder) = new(read(folder))

  # { path in the folder => text }
  def self.read(folder)
    Dir
      .glob("#{folder}/**/*.rb")
      .to_h { |file| [file.delete_prefix("#{folder}/"), File.read(file)] }
      .reject { |path, _| path == "setup_check.rb" || path.start_with?("storage/migrations/") }
  end

  # -> ["service/household/x.rb: names Graver::API::App", ...]
  def strays
    @trees.flat_map { |path, tree| Reader.new(path, @defined).call(tree).map { |stray| "#{path}: #{stray}" } }
  end

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

  # What one file names and calls that it may not.
  class Reader < Prism::Visitor
    def initialize(path, defined)
      super()
      @path = path
      @room = path[%r{\A[^/]+(?=/)}]
      @defined = defined
      @nesting = []
      @strays = []
    end

    def call(tree)
      visit(tree)
      @strays.uniq
    end

    def visit_module_node(node) = inside(node)
    def visit_class_node(node) = inside(node)
    def visit_constant_path_node(node) = name(node.slice.delete_prefix("::"), rooted: node.slice.start_with?("::"))
    def visit_constant_read_node(node) = name(node.name.to_s)

    def visit_call_node(node)
      requires(node) if node.receiver.nil? && %i[require load require_relative autoload].include?(node.name)
      hidden(node)
      time_and_chance(node)
      stray("reaches the records") if @room == "api" && %i[store transaction].include?(node.name)
      super
    end

    def visit_x_string_node(_) = stray("runs another program")
    def visit_interpolated_x_string_node(_) = stray("runs another program")
    def visit_global_variable_read_node(node)
      (stray("reads #{node.name}") unless %i[$stdout $stderr].include?(node.name) && free?(%w[cli]))
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

    def requires(node)
      target = node.arguments&.arguments&.first
      return stray("requires what cannot be read") unless target.is_a?(Prism::StringNode)

      allowed = STANDARD + GEMS.fetch(@room, %w[rack rack/protection])
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
