# frozen_string_literal: true

require "committee"
require "json"
require "rack/test"
require_relative "answered_routes"
require_relative "demo_file"

# Speaks to the whole application in this process, on a database of its own, and holds every request and response
# against openapi/graver.yml.
module ApiHelper
  include Rack::Test::Methods

  TODAY = DemoFile::TODAY
  SCHEMA =
    Committee::Drivers.load_from_file(
      File.join(Graver::Boot::ROOT, "openapi/graver.yml"),
      parser_options: {
        strict_reference_validation: true
      }
    )

  def self.included(base)
    base.before { |example| @folder = DemoFile.folder(example) }

    base.after do
      context.store.close
      FileUtils.rm_rf(@folder)
    end
  end

  # What the block enters is entered by the first example that names it; the others begin with a copy.
  def prepared(name, &block)
    file, known = DemoFile.prepared[name]
    return prepare(name, &block) unless file

    FileUtils.cp(file, database)
    @car, @job = JSON.parse(known)
  end

  def prepare(name)
    yield
    copy = context.store.backups.make("daily").path
    DemoFile.prepared[name] = [DemoFile.keep(copy), JSON.generate([@car, @job])]
    FileUtils.rm_rf(File.dirname(copy))
  end

  def database = File.join(@folder, "graver.sqlite3")

  def context
    @context ||= DemoFile.context(database)
  end

  def app = @app ||= described(Graver::Boot.rack(context))

  # Answers that break the description raise; requests that break it are noted, as an example may want them wrong.
  def described(rack)
    checked =
      Committee::Middleware::ResponseValidation.new(
        AnsweredRoutes.noting(rack),
        schema: SCHEMA,
        prefix: "/api/v1",
        raise: true,
        strict: false,
        validate_success_only: false
      )
    Committee::Middleware::RequestValidation.new(
      checked,
      schema: SCHEMA,
      prefix: "/api/v1",
      ignore_error: true,
      error_handler: ->(fault, _) { @request_fault = fault }
    )
  end

  # Sends JSON and gives the answer's body back as Ruby. What is accepted must be as described.
  def ask(method, path, body = nil)
    @request_fault = nil
    header "Host", "127.0.0.1"
    header "Content-Type", "application/json"
    public_send(method, "/api/v1#{path}", *[body && JSON.generate(body)].compact)
    raise @request_fault if last_response.successful? && @request_fault

    last_response.body.empty? ? nil : JSON.parse(plain(last_response.body))
  end

  def status = last_response.status
  def fields(answer) = answer.fetch("error").fetch("fields").to_h { |fault| [fault["field"], fault["code"]] }
  def car = @car ||= ask(:post, "/vehicles", { name: "Juniper", kind: "car" })
  def front = car.fetch("axles").first.fetch("id")

  # A reading of every pad of an axle, the left inner one first.
  def all_pads(*values, axle: front)
    [%w[left inner], %w[left outer], %w[right inner], %w[right outer]].zip(values)
      .map { |(side, pad), value| pad(value, side:, pad:, axle:) }
  end

  # Readings of both axles after which nothing is left to say of them.
  def sound_axles
    car["axles"].flat_map do |axle|
      know(axle["id"], %w[rotor.discard_thickness 20 mm])
      rotors =
        %w[left right].map do |side|
          { axle: axle["id"], part: "rotor", side:, event: "reading", method: "micrometer", unit: "mm", values: ["24"] }
        end
      all_pads("11", "11", "11", "11", axle: axle["id"]) + rotors
    end
  end

  # Reads a vehicle's readings on its front axle unless one is named.
  def pad(value, side: "left", pad: "inner", axle: front, **more)
    {
      axle:,
      part: "pad",
      side:,
      pad:,
      event: "reading",
      method: "caliper",
      unit: "mm",
      values: [value].flatten,
      **more
    }
  end

  def inspections(vehicle = car) = "/vehicles/#{vehicle.fetch("id")}/inspections"
  def inspection(date, odometer, *readings, **more) = { date:, odometer: { value: odometer }, readings:, **more }
  # A draft of new pads on an axle with what goes with them, whatever was read -> its plan
  def pad_job(axle = front, planned_for: "2026-05-23", **given)
    job = ask(:post, "/axles/#{axle}/jobs", { planned_for:, **given })
    pads_only(job["id"], axle)
  end

  # Gives a draft those works, where the rotors allow it -> its plan
  def pads_only(id, axle = front)
    axles = ask(:get, "/jobs/#{id}")["scope"]["axles"]
    works = axles.find { |each| each["id"] == axle }["works"].map { |work| work["id"] } & %w[pads clips sensors]
    ask(:put, "/jobs/#{id}/scope", { axles: { axle.to_s => works }, reasons: { axle.to_s => "Pads" } })
    ask(:get, "/jobs/#{id}")
  end

  def know(axle, *rows)
    ask(
      :post,
      "/axles/#{axle}/brake-data",
      { entries: rows.map { |key, value, unit| { key:, value:, unit:, source: "manual" } } }
    )
  end
end
