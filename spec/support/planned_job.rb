# frozen_string_literal: true

require_relative "api_helper"

# A job planned through the services, as an owner would: a vehicle, what is known of it, what is to be done.
module PlannedJob
  def self.included(base)
    base.include(ApiHelper)
  end

  # kind of vehicle, { axle name => { key => value or [value, unit] } } -> { axle name => id }
  def vehicle(kind = "car", discs: nil, **known)
    @car = ask(:post, "/vehicles", { name: "Mule", kind:, discs: }.compact)
    axles = @car["axles"].to_h { |axle| [axle["name"].to_sym, axle["id"]] }
    known.each do |name, data|
      know(axles.fetch(name), *data.map { |key, value| [key.to_s, *value, nil].first(3) })
      raise last_response.body unless status == 200
    end
    axles
  end

  # One axle of a vehicle of its own -> its id
  def axle(name, data, kind: "car", discs: nil) = vehicle(kind, discs:, name => data)[name]

  # The rear of a motorcycle with one disc.
  def one_disc(data)
    axle(:rear, { "caliper.kind": "motorcycle_floating", **data }, kind: "motorcycle", discs: { rear: 1 })
  end

  def approach(**chosen) = ask(:put, "/approaches", chosen)

  def job_id = @job_id
  def car = @car
  def planning = Graver::Service::Jobs::JobChanges.new(context.for_request)

  # -> JobPlan::Plan of these works
  def planned(axle_id, *works, reasons: {}, **others)
    job = planning.plan(axle_id, "2026-05-23")
    planning.scope(
      job.id,
      { axle_id.to_s => works, **others.transform_keys(&:to_s) },
      { axle_id.to_s => "so it is", **reasons }
    )
    @job_id = job.id
    plan
  end

  def plan = Graver::Service::Jobs::JobPlan.new(context.for_request).find(job_id)

  # Steps by id, at one side where it is named.
  def steps(plan, side = nil)
    plan.ordered.placed.select { |placed| side.nil? || placed.side == side }.map { |placed| placed.step.id }
  end

  def expect_order(plan, *ids, side: "left")
    found = plan.ordered.placed.select { |placed| [nil, side].include?(placed.side) }.map { |placed| placed.step.id }
    places = ids.map { |id| found.index(id) || raise("#{id} is missing") }
    expect(places).to eq(places.sort), ids.zip(places).inspect
  end

  def line(plan, fastener) = plan.torque.map(&:line).find { |each| each.fastener == fastener }
  def items(plan, kind) = plan.readiness.select { |item| item.kind == kind }
  def open_kinds(plan) = plan.readiness.select(&:open?).map(&:kind).uniq
  def parts(plan) = plan.parts.to_h { |part| [part.line.id, part.line.count] }
  def tools(plan) = plan.tools.map { |tool| tool.line.id }
  def said(plan, id) = plan.ordered.placed.find { |placed| placed.step.id == id }.step.text
end
