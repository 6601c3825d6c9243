# frozen_string_literal: true

require "prism"
require "tsort"
require_relative "architecture/definitions"
require_relative "architecture/reader"

# Reads the syntax trees of lib/graver and names whatever breaks the one direction of imports or reaches for what its
# room has no business with: clock, chance, environment, files, network, other programs, the terminal, globals.
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
    "logbook" => PLANNING,
    "jobs/at_the_car" => [*PLANNING, "jobs/plan"],
    "jobs/finish" => [*PLANNING, "jobs/plan", "jobs/at_the_car"],
    "tables" => [*PLANNING, "jobs/plan", "jobs/at_the_car", "jobs/finish"]
  }.freeze
  # Standard library and gems each room may require.
  STANDARD = %w[date forwardable time json csv set yaml digest zlib ipaddr].freeze
  GEMS = {
    "core" => %w[numo/narray],
    "knowledge" => %w[json_schemer],
    "storage" => %w[
      sequel
      sqlite3
      zip
      json_schemer
      fileutils
      securerandom
      openssl
      exifr/jpeg
      open3
      stringio
      tmpdir
      rubygems/package
    ],
    "sheet" => %w[prawn stringio],
    "api" => %w[sinatra/base dry/validation icalendar rack rqrcode_core puma puma/server socket],
    "cli" => %w[fileutils optparse net/http open3 socket io/console],
    "service" => %w[bcrypt securerandom],
    "devices" => [],
    "say" => [],
    "log_format" => []
  }.freeze
  # what => constants that reach it, and the only places that may
  REACH = {
    clock: [%w[Process], %w[service/base/context.rb process_beside.rb cli/work_ahead_command.rb]],
    chance: [
      %w[Random SecureRandom],
      %w[
        devices/simulated
        storage/drafts.rb
        storage/pictures.rb
        service/household/calendar_feed.rb
        service/household/phone_access.rb
      ]
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
        storage/archive.rb
        storage/encrypted_copy.rb
        storage/examination.rb
        storage/file_parts.rb
        storage/open_format
        storage/backups.rb
        storage/certificate.rb
        storage/pictures.rb
        storage/store.rb
        storage/file_watch.rb
        storage/free_room.rb
        storage/page_sums.rb
        sheet/paper.rb
        api/web_app.rb
        api/contracts/contract.rb
        cli
        boot.rb
        process_beside.rb
        freed_memory.rb
      ]
    ],
    network: [%w[Net Socket TCPSocket UDPSocket TCPServer OpenURI Puma], %w[api/lan_server.rb cli/doctor_command.rb]],
    programs: [
      %w[Open3 PTY Process],
      %w[storage/pictures.rb storage/check_apart.rb service/base/context.rb process_beside.rb cli]
    ],
    threads: [
      %w[Thread Mutex Ractor Fiber],
      %w[
        devices/shelf.rb
        say/spoken.rb
        storage/json_texts.rb
        storage/pictures.rb
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
  # Talking to a terminal, waiting, and ending the process.
  OUTSIDE = %w[puts print p pp putc printf warn sleep exit exit! abort at_exit trap].freeze
  OUTSIDE_ALLOWED = %w[cli boot.rb error_log.rb].freeze
  # What a serializer may make of the services: messages.
  MADE_BY_SERIALIZERS = %w[Graver::Service::Base::Wording].freeze
  HIDDEN_ALLOWED = {
    "spawn" => %w[process_beside.rb],
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
    @trees.flat_map { |path, tree| Reader.new(path, @defined).call(tree).strays.map { |stray| "#{path}: #{stray}" } }
  end

  # Those of one more file.
  def strays_of(path, text)
    tree = Prism.parse(text).value
    defined = @defined.merge(Definitions.of(tree).to_h { |name| [name, path] })
    Reader.new(path, defined).call(tree).strays.map { |stray| "#{path}: #{stray}" }
  end

  # Files that need each other -> [[path, ...], ...]. The files of one class, in a folder of its name, are one.
  def cycles
    graph = Hash.new { |all, unit| all[unit] = [] }
    @trees.each do |path, tree|
      named = Reader.new(path, @defined).call(tree).named.map { |other| unit(other) }
      graph[unit(path)] |= named - [unit(path)]
    end
    children = ->(unit, &block) { graph.fetch(unit, []).each(&block) }
    TSort.strongly_connected_components(graph.keys.method(:each), children).select { |units| units.length > 1 }
  end

  private

  # A class and the folder of its parts: "core/wear/hypotheses/merging.rb" -> "core/wear/hypotheses.rb".
  def unit(path) = @trees.key?("#{File.dirname(path)}.rb") ? "#{File.dirname(path)}.rb" : path
end
