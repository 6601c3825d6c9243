# frozen_string_literal: true

require_relative "api_helper"
require_relative "careful_mechanic"

# One job of the front axle, through the API.
module JobHelper
  def self.included(base) = base.include(ApiHelper)

  def proposed = @proposed ||= job && ask(:get, address)

  def complete
    know(
      front,
      ["caliper.kind", "floating_slide_pins", nil],
      %w[slide_pin_bolt.torque 28 N·m],
      ["slide_pin_bolt.drive", "hex-13", nil],
      ["slide_pin_bolt.single_use", "once", nil],
      %w[wheel_nut.torque 88.5 lbf·ft],
      ["wheel_nut.drive", "hex-17", nil],
      ["wheel_nut.count", "5", nil],
      %w[rotor.discard_thickness 23 mm],
      ["wear_sensor", "left", nil]
    )
  end

  def job(**given) = @job ||= pad_job(**given)
  def address(path = "") = "/jobs/#{job["id"]}#{path}"
  def open_items(plan)
    plan["readiness"].select { |item| item["blocks"] && !item["resolved"] }.map { |item| item["id"] }
  end
  def resolve_all(plan = ask(:get, address))
    items = open_items(plan)
    items.empty? ? plan : ask(:post, address("/resolved"), { items:, done: true })
  end
  def tick(*keys, done: true) = ask(:post, address("/ticks"), { steps: keys, done: })

  # Ticks off everything up to a step, this one too.
  def tick_until(last = nil)
    keys = ask(:get, address)["steps"].map { |step| step["key"] }
    mechanic.do_all(keys.take(last ? keys.index(last) + 1 : keys.length))
  end

  def do_step(key) = mechanic.do_step(key)
  def mechanic = context.then { |one| CarefulMechanic.new(-> { one }, job["id"]) }

  # What you noticed before is gone, where nothing else is said.
  def finish(**given)
    symptoms = ask(:get, address)["symptoms"].map { |each| { id: each["id"], gone: true } }
    ask(:post, address("/finish"), { odometer: { value: "60000" }, symptoms:, **given })
  end
  def step(plan, key) = plan["steps"].find { |each| each["key"] == key }
end
