# frozen_string_literal: true

require "capybara/rspec"
require "capybara/cuprite"
require_relative "careful_mechanic"
require_relative "demo_file"

FLAGS =
  %w[
    no-sandbox
    disable-gpu
    disable-quic
    no-first-run
    disable-background-networking
    disable-component-update
    disable-sync
  ].to_h { |flag| [flag, nil] }

Capybara.register_driver(:chromium) do |app|
  Capybara::Cuprite::Driver.new(
    app,
    window_size: [1280, 800],
    browser_path: ENV["GRAVER_CHROMIUM"] || "/usr/bin/chromium",
    browser_options: FLAGS,
    js_errors: true,
    process_timeout: 30,
    timeout: 15,
    protocol_timeout: 30,
    inspector: false
  )
end
Capybara.server = :puma, { Silent: true, Threads: "1:4" }
Capybara.default_driver = :chromium
Capybara.default_max_wait_time = 12
Capybara.enable_aria_label = true

# The whole application in a real browser, on a database of its own and a fixed day.
module BrowserHelper
  TODAY = DemoFile::TODAY
  AXE = File.join(Graver::Boot::ROOT, "web/node_modules/axe-core/axe.min.js")

  def self.included(base)
    base.before do |example|
      @folder = DemoFile.folder(example)
      @context = DemoFile.context(File.join(@folder, "graver.sqlite3"))
      BrowserHelper.application = Graver::Boot.rack(@context)
    end

    base.after do
      BrowserHelper.leave
      @context.store.close
      FileUtils.rm_rf(@folder)
    end
  end

  class << self
    attr_accessor :application

    # One browser and one server for all examples; each example puts its own application behind them.
    def session = @session ||= Capybara::Session.new(:chromium, ->(env) { application.call(env) })

    # A browser that does not answer in time on a busy machine is closed; the next example starts a new one.
    def leave
      session.reset!
      session.driver.resize(1280, 800)
      session.driver.browser.page.command("Emulation.setEmulatedMedia", media: "", features: [])
    rescue Ferrum::NoSuchTargetError, Ferrum::TimeoutError, Ferrum::PendingConnectionsError
      session.quit
    end
  end

  attr_reader :context

  def page = BrowserHelper.session

  # The application answers 503 to paths that match the pattern while the block runs.
  def unreachable(pattern)
    running = BrowserHelper.application
    BrowserHelper.application =
      lambda do |env|
        env["PATH_INFO"].match?(pattern) ? [503, { "content-type" => "text/plain" }, ["away"]] : running.call(env)
      end
    yield
  ensure
    BrowserHelper.application = running
  end

  # Types into whatever has the focus, as a keyboard does.
  def type(*keys) = page.driver.browser.keyboard.type(*keys)

  def focused = page.evaluate_script("document.activeElement.id")

  # Waits until the page has settled on a focus, as long as for anything else.
  def expect_focus(id)
    (Capybara.default_max_wait_time * 20).times { focused == id ? break : sleep(0.05) }
    expect(focused).to eq(id)
  end

  EVERYTHING = "runOnly: ['wcag2a', 'wcag2aa', 'wcag21aa']"
  COLOURS = "runOnly: ['color-contrast']"

  # What the accessibility checker finds wrong, as [rule, first element].
  # A colour on its way from light to dark is no colour of ours.
  STILL =
    "const still = new CSSStyleSheet(); still.replaceSync('* { transition: none !important }'); document.adoptedStyleSheets.push(still)"

  def accessibility_faults(what = EVERYTHING)
    page.execute_script(STILL)
    page.driver.browser.execute(File.read(AXE))
    found = page.evaluate_async_script("axe.run(document, { #{what}, resultTypes: ['violations'] }).then(arguments[0])")
    found["violations"].map { |fault| [fault["id"], fault["nodes"].first["html"][0, 160]] }
  end

  def requested_hosts
    page.driver.network_traffic.map { |exchange| URI(exchange.url) }.grep(URI::HTTP).map(&:host).uniq
  end
end
