# frozen_string_literal: true

require_relative "api_helper"

# Findings of a car whose front brake is known: one piston a side, limits of pads and rotors.
module FindingsHelper
  def self.included(base)
    base.include(ApiHelper)
    base.before do
      know(
        front,
        %w[pad.new_thickness 11 mm],
        %w[rotor.new_thickness 28 mm],
        %w[rotor.discard_thickness 22 mm],
        ["caliper.kind", "floating_slide_pins", nil],
        ["caliper.piston_count", "1", nil],
        %w[caliper.piston_diameter 57 mm]
      )
    end
  end

  def findings = ask(:get, "/vehicles/#{car["id"]}/findings")
  def rotors = findings["axles"].first["rotors"]
  def job_plan = ask(:get, "/axles/#{front}/job-plan")
  def job_verdict = job_plan["axles"].first["rotor"]["outcome"]
  # The work on the rotors in the proposed job.
  def job_work = job_plan["scope"]["axles"].first["rotors"]["chosen"]
  def found(rule) = findings["findings"].select { |each| each["rule"] == rule }
  def marks(*list) = list.map { |side, item, mark, face| { axle: front, side:, item:, mark:, face: } }
  def rotor(side, *values, **more)
    { axle: front, part: "rotor", side:, event: "reading", method: "micrometer", unit: "mm", values:, **more }
  end
end
