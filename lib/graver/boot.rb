# frozen_string_literal: true

require "date"
require "digest"
require "rack"
require "rack/protection"
require "yaml"

module Graver
  # Joins settings, records, knowledge and the web. The only place that knows them all.
  module Boot
    ROOT = File.expand_path("../..", __dir__)
    # name => [default, meaning]
    SETTINGS = {
      "GRAVER_DATABASE" => [
        File.join(ENV.fetch("XDG_DATA_HOME") { File.join(Dir.home, ".local/share") }, "graver/graver.sqlite3"),
        "the household's file"
      ],
      "GRAVER_SIMULATED_DEVICES" => [
        nil,
        "yes, or a file that says how its made-up world is: simulated gauges, a reader and a parts counter to try; " \
          "what they send never counts on a real vehicle"
      ],
      "GRAVER_LAN" => [
        nil,
        "yes, or the address of this machine at which phones may sign in; else as it was chosen in Graver"
      ],
      "GRAVER_PORT" => ["8321", "the port it listens on"],
      "GRAVER_HTTPS" => [nil, "yes: encrypted over the network, by a certificate of its own"],
      "GRAVER_TODAY" => [nil, "a fixed day (2025-04-12) for trials and pictures; else the day it is"]
    }.freeze

    # How often to check that today has its backup.
    COPY_EVERY_SECONDS = 900
    # How often to check for stale answers, and how long after a change to start the work ahead if it has ended.
    LOOK_EVERY_SECONDS = 1
    AGAIN_SECONDS = 5
    # How often to give freed memory back.
    FREED_EVERY_SECONDS = 0.5
    # A server leaves to the process beside it what no request waits for; the garage page waits a moment for cards.
    SERVING = Service::Base::Context::Serving.new(later: ->(_piece) {}, patience: 0.3)
    AHEAD = [RbConfig.ruby, File.join(ROOT, "bin/graver"), "work-ahead"].freeze
    CHECK = [RbConfig.ruby, File.join(ROOT, "bin/graver"), "check"].freeze
    # Host names that are answered. A foreign name that resolves to this machine is rejected (DNS rebinding).
    HOSTS = %w[127.0.0.1 localhost ::1].freeze

    module_function

    # knowledge and outlooks (cached forecasts) may be shared by several; today: callable -> Date; open: what
    # opens the file at a path -> Storage::Store. Raises KnowledgeError, or InvalidEntry when a setting cannot be used.
    def context(
      settings = ENV,
      knowledge: Knowledge::Library.load,
      outlooks: Service::Base::LruCache.new(Service::Base::Context::MOST_OUTLOOKS),
      serving: Service::Base::Context::ALONE,
      today: today(settings),
      open: Storage::Store.method(:open)
    )
      Service::Base::Context.new(
        store: open.call(setting(settings, "GRAVER_DATABASE")),
        knowledge:,
        today:,
        outlooks:,
        build_digest:,
        serving:,
        **devices(setting(settings, "GRAVER_SIMULATED_DEVICES"))
      )
    end

    # Backups of the household's file, whether it can be opened or not.
    def backups(settings = ENV) = Storage::Backups.new(setting(settings, "GRAVER_DATABASE"))

    # -> Storage::Examination of the household's file
    def examination(free_bytes:, settings: ENV, now: Time.now.utc)
      Storage::Examination.new(setting(settings, "GRAVER_DATABASE"), now:, free_bytes:)
    end

    # The port it listens on.
    def port(settings = ENV) = setting(settings, "GRAVER_PORT").to_i

    # For HTTPS to phones -> Storage::Certificate::Made
    def certificate(address, now, settings = ENV)
      Storage::Certificate.new(setting(settings, "GRAVER_DATABASE"), now).for(address)
    end

    # Runs the block while no server has the file. Raises FileRefused if one has.
    def alone(settings = ENV)
      lock = Storage::HouseholdLock.new(setting(settings, "GRAVER_DATABASE"))
      yield
    ensure
      lock&.release
    end

    # The application of a server: locks its file and makes a daily backup. Raises FileRefused too.
    def served(settings = ENV)
      @lock = Storage::HouseholdLock.new(setting(settings, "GRAVER_DATABASE"))
      context = context(settings, serving: SERVING)
      @lock.household
      ahead = ProcessBeside.new(AHEAD, settings.to_h.slice(*SETTINGS.keys))
      at_exit do
        ahead.stop
        context.store.close
      end
      keep_ahead(context, ahead)
      keep_copies(context)
      keep_small
      phones = phones(context, settings)
      allow(context, phones, settings)
      rack(context, phones:)
    end

    # Phone access, still closed.
    def phones(context, settings)
      API::LanServer.new(
        port: setting(settings, "GRAVER_PORT").to_i,
        certificate: ->(address) { certificate(address, context.for_request.time, settings) }
      ) { |network| rack(context, network) }
    end

    # Opens phone access if the setting or the household asks for it. Raises InvalidEntry if the setting asks for it and
    # it fails.
    def allow(context, phones, settings)
      asked = setting(settings, "GRAVER_LAN")
      access = Service::Household::PhoneAccess.new(context.for_request)
      return unless asked || access.wanted?
      raise InvalidEntry.of("wanted", "missing", Say::Texts.t("access.no_passphrase")) unless access.passphrase?

      https = setting(settings, "GRAVER_HTTPS") == "yes" || (asked.nil? && access.https?)
      warn tell(phones.open(address: asked == "yes" ? nil : asked, https:))
    rescue InvalidEntry => e
      raise if asked

      warn e.message
    end

    def tell(network)
      [
        Say::Texts.t("access.opened", address: network.root),
        network.fingerprint && Say::Texts.t("access.certificate", fingerprint: network.fingerprint)
      ].compact.join("\n")
    end

    # The same household for a process beside its server, and its application.
    def beside(settings = ENV)
      context = context(settings, serving: SERVING, open: Storage::Store.method(:beside))
      [context, rack(context)]
    end

    # -> API::WorkAhead
    def work_ahead(context, application) = API::WorkAhead.new(context, application)

    # Starts the work ahead whenever something has changed, and again where it ended just then.
    def keep_ahead(context, ahead)
      seen = since = nil
      every(LOOK_EVERY_SECONDS) do
        now = [context.store.revisions.then { |at| [at.vehicles, at.shared] }, context.today]
        since = context.clock if now != seen
        seen = now
        ahead.start if context.clock - since < AGAIN_SECONDS
      end
    end

    # Runs the block in a thread, again and again with a pause after it. The pause is no part of an ensure: a thread
    # that is ended while the block runs would sleep through it first, and the process with it.
    def every(seconds, &block)
      Thread.new do
        loop do
          attempt(&block)
          sleep seconds
        end
      end
    end

    def attempt
      yield
    rescue NotSaved
      # whoever asks is told
    rescue StandardError => e
      ErrorLog.report(e)
    end

    # A digest of everything that shapes an answer, but the records.
    def build_digest
      @build_digest ||=
        Digest::SHA256.hexdigest(
          Dir
            .glob("{lib/graver,knowledge}/**/*.{rb,yml}", base: ROOT)
            .sort
            .map { |file| File.read(File.join(ROOT, file)) }
            .join
        )
    end

    # Looks through the file for damage, and makes the day's backup.
    def keep_copies(context)
      check = Storage::CheckApart.new(CHECK, context.store.backups.household)
      every(COPY_EVERY_SECONDS) do
        context.store.damaged! if check.damaged?
        context.store.backups.daily
      end
    end

    def keep_small
      freed = FreedMemory.new
      Thread.new do
        loop do
          sleep FREED_EVERY_SECONDS
          freed.give_back
        end
      end
    end

    # No simulated devices unless the setting asks for them.
    def devices(asked)
      return { devices: Devices::Shelf.bare, counter: nil } unless asked

      {
        devices: Devices::Simulated::Bench.shelf(written: asked == "yes" ? {} : written_world(asked)),
        counter: Devices::Simulated::PartsCounter.new(seed: 20)
      }
    end

    def written_world(path)
      YAML.safe_load_file(path).fetch("vehicles").to_h { |vehicle| [vehicle["name"], vehicle.fetch("world", {})] }
    rescue Errno::ENOENT, KeyError, Psych::SyntaxError
      raise InvalidEntry.of("GRAVER_SIMULATED_DEVICES", "unreadable", Say::Texts.t("faults.database_simulated"))
    end

    # Values in the page itself: English, and the usual units.
    def page_data(context, env)
      {
        "english" => API::SpokenEnglish.of(context, env),
        "remote" => !API::Network.loopback?(env["REMOTE_ADDR"]),
        "units" => Service::Household::Chosen.new(context, "units").chosen
      }
    end

    # The whole Rack application. network: where requests come from; phones: LanServer it opens and closes, or nil
    def rack(context, network = API::Network::NONE, phones: nil)
      api = Class.new(API::App) { set :context, context }
      hosts = [*HOSTS, *network.address]
      Rack::Builder.app do
        use Rack::Protection::HostAuthorization, permitted_hosts: hosts, logging: false
        use Rack::Deflater
        map("/api/v1") do
          use(API::AuthMiddleware, context:, network:, phones:)
          use(API::SpokenEnglish, context:)
          run api
        end
        run API::WebApp.new(File.join(ROOT, "web/dist"), ->(env) { Boot.page_data(context.for_request, env) })
      end
    end

    def setting(settings, name) = settings[name].to_s.empty? ? SETTINGS.fetch(name).first : settings[name]

    def today(settings)
      fixed = setting(settings, "GRAVER_TODAY") or return -> { Date.today }
      day = Date.iso8601(fixed)
      -> { day }
    rescue Date::Error
      raise InvalidEntry.of("GRAVER_TODAY", "not_a_day", Say::Texts.t("faults.fixed_day"))
    end
  end
end
