# frozen_string_literal: true

# Does the steps of a job as a careful mechanic does: every bolt clicked, what is asked answered well.
class CarefulMechanic
  PLANNING = Graver::Service::Jobs
  private_constant :PLANNING

  # context: gives a context each time it is called; job_id: as the records name it
  def initialize(context, job_id)
    @context = context
    @id = job_id
  end

  def do_all(keys) = keys.each { |key| do_step(key) }

  # Raises InvalidEntry where anything but a bolt or an answer is missing.
  def do_step(key)
    ticks.tick(@id, [key], true)
  rescue Graver::InvalidEntry => e
    fields = e.faults.map(&:field)
    return ticks.answer(@id, key, "firm") if fields == ["answer"]
    raise unless fields.all? { |field| field.start_with?("bolts.") }

    click_bolts(key)
    ticks.tick(@id, [key], true)
  end

  private

  def ticks = PLANNING::JobTicks.new(@context.call)

  def click_bolts(key)
    job = @context.call.store.jobs.find(@id)
    plans = PLANNING::JobPlan.new(@context.call)
    placed = plans.ordered(job).placed.find { |each| each.key == key }
    tight = PLANNING::TightBolts.new(@context.call)
    PLANNING::TightBolts
      .lines(plans.torque(job), placed)
      .each { |line| click(line, key, tight.missing(job, placed, line)) }
  end

  def click(line, step, bolts)
    return if bolts.empty?

    angle = line.angle_degrees&.to_s
    PLANNING::TorqueLog.new(@context.call).call(
      @id,
      { step:, axle: line.axle, fastener: line.fastener, bolts:, angle: }
    )
  end
end
