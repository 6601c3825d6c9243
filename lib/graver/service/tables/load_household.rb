# frozen_string_literal: true

module Graver
  module Service
    module Tables
      # Fills an empty database with a household written down as data (demo/household.yml), through the same use cases
      # and checks as an owner's own entries.
      class LoadHousehold
        def initialize(context)
          @context = context
        end

        # content: the parsed file. Raises InvalidEntry when a line of it would be refused.
        def call(content)
          @tools = content.fetch("workshop", []).to_h { |given| [given["name"], tool(given)] }
          content.fetch("wrenches", []).each { |given| wrench(given) }
          content.fetch("tools", []).each { |id| Workshop::OwnedTools.new(@context).own(id, true) }
          content
            .fetch("shelf", [])
            .each { |row| Workshop::Supplies.new(@context).add({ kind: "consumable", **row.transform_keys(&:to_sym) }) }
          vehicles = content.fetch("vehicles").map { |given| [vehicle(given), given] }
          vehicles.each { |vehicle, given| road(vehicle, given) }
        end

        private

        # -> id
        def tool(given)
          instruments = Household::Instruments.new(@context)
          added =
            instruments.add(
              given.slice("name", "method", "unit", "least", "most", "resolution", "uncertainty").transform_keys(
                &:to_sym
              )
            )
          given
            .fetch("checks", [])
            .each do |check|
              Workshop::ZeroChecks.new(@context).check(
                added.id,
                {
                  date: (@context.today - check["days_ago"]).iso8601,
                  reference: check["reference"],
                  read: check["read"]
                }
              )
            end
          added.id
        end

        def wrench(given)
          fields = given.slice("name", "unit", "least", "most", "graduation", "length_mm").transform_keys(&:to_sym)
          Workshop::TorqueWrenches.new(@context).add(
            { **fields, calibrated_on: (@context.today - given["calibrated_days_ago"]).iso8601 }
          )
        end

        def vehicle(given)
          discs, disc_sides = %w[discs disc_sides].map { |key| given.fetch(key, {}).transform_keys(&:to_sym) }
          vehicle =
            Household::AddVehicle.new(@context).call(
              {
                **given.slice("name", "kind", "distance_unit", "brakes").transform_keys(&:to_sym),
                axles: given.fetch("axles").length,
                discs:,
                disc_sides:
              },
              sample: true
            )
          ids = vehicle.axles.to_h { |axle| [axle.name, axle.id] }
          given.fetch("axles").each { |name, axle| brake_data(ids.fetch(name), axle.fetch("data", [])) }
          inspections(given, vehicle.id, ids)
          given
            .fetch("axles")
            .each do |name, axle|
              supplies(ids.fetch(name), axle.fetch("supplies", []))
              job(ids.fetch(name), axle["job"])
            end
          vehicle
        end

        def road(vehicle, given)
          given
            .fetch("odometers", [])
            .each do |row|
              Measuring::RecordOdometer.new(@context).call(
                vehicle.id,
                { date: (@context.today - row["days_ago"]).iso8601, odometer: { value: row["odometer"] } }
              )
            end
          given.fetch("ahead", []).each { |row| ahead(vehicle.id, row) }
          given.fetch("follow_ups", []).each { |row| follow_up(vehicle.id, row) }
          vehicle.axles.each do |axle|
            given.dig("axles", axle.name).fetch("done", []).each { |row| done(axle.name, axle.id, row) }
          end
        end

        def follow_up(vehicle_id, row)
          look_on = row["look_in_days"] && (@context.today + row["look_in_days"]).iso8601
          Household::FollowUps.new(@context).add(vehicle_id, { text: row["text"], look_on: })
        end

        def ahead(vehicle_id, row)
          from = @context.today + row["in_days"]
          to = row["for_days"] && (from + row["for_days"]).iso8601
          Household::PlannedEvents.new(@context).add(
            vehicle_id,
            {
              kind: row["kind"],
              name: row["name"],
              from: from.iso8601,
              to:,
              distance: row["distance"],
              wear_factor: row["wear_factor"]
            }
          )
        end

        def brake_data(axle_id, rows)
          entries = rows.map { |key, value, unit, source| { key:, value:, unit:, source: } }
          Household::RecordBrakeData.new(@context).call(axle_id, entries) unless entries.empty?
        end

        # In the order of days, so that what each reading is compared with is already there.
        def inspections(given, vehicle_id, ids)
          dated =
            given
              .fetch("axles")
              .flat_map do |name, axle|
                axle.fetch("inspections", []).map { |inspection| [inspection, ids.fetch(name)] }
              end
          dated << [given["fluid"], nil] if given["fluid"]
          dated
            .sort_by { |inspection, _| -inspection["days_ago"] }
            .each do |inspection, axle_id|
              service = {
                date: (@context.today - inspection["days_ago"]).iso8601,
                odometer: {
                  value: inspection["odometer"]
                }
              }
              if axle_id
                log(vehicle_id, axle_id, service, inspection)
              else
                Measuring::RecordFluidRenewal.new(@context).call(vehicle_id, service)
              end
            end
        end

        def log(vehicle_id, axle_id, service, inspection)
          fits = inspection.fetch("fit", []).map { |part| { part:, event: "fit" } }
          readings = (fits + pads(inspection) + rotors(inspection)).map { |reading| { axle: axle_id, **reading } }
          Measuring::LogInspection.new(@context.as(inspection["by"])).call(
            vehicle_id,
            { **service, note: inspection["note"], readings:, conditions: conditions(inspection, axle_id) }
          )
        end

        # "left slide_pins: seized", "left inner pad: glazed", "symptom: pulsation"
        def conditions(inspection, axle_id)
          seen =
            inspection
              .fetch("seen", [])
              .map do |text|
                place, mark = text.split(": ")
                *where, item = place.split
                { axle: where.any? ? axle_id : nil, side: where[0], face: where[1], item:, mark: }
              end
          inspection["fluid_level"] ? [*seen, { item: "fluid_level", value: inspection["fluid_level"] }] : seen
        end

        def pads(inspection)
          inspection
            .fetch("pads", {})
            .map do |position, text|
              side, pad = position.split("_")
              value, upper = inspection["method"] == "gauge" ? text.split("/") : [text, nil]
              {
                part: "pad",
                side:,
                pad:,
                event: "reading",
                method: inspection["method"],
                unit: inspection.fetch("unit", "mm"),
                values: [value],
                upper:,
                overall: false,
                instrument: @tools[inspection["tool"]],
                answer: inspection.fetch("keep", []).include?(position) ? "keep" : nil
              }
            end
        end

        def rotors(inspection)
          { "rotors" => "rotor", "drums" => "drum" }.flat_map do |given, part|
            inspection.fetch(given, {}).map { |side, values| turning(inspection, part, side, values) }
          end
        end

        def turning(inspection, part, side, values)
          {
            part:,
            side:,
            event: "reading",
            method: inspection["rotor_method"],
            unit: inspection.fetch("rotor_unit", "mm"),
            values:,
            overall: false,
            instrument: @tools[inspection["rotor_tool"]]
          }
        end

        # A job of before Graver: what was done and what it cost, without its steps.
        def done(axle, axle_id, row)
          day = @context.today - row["days_ago"]
          prices = row.fetch("prices", {}).map { |part, (name, price)| { axle:, part:, name:, price: } }
          closed = { spent: prices.sum { |each| each[:price] }.round(2), hours: row["hours"], prices:, entered: true }
          jobs, at, by = @context.store.jobs, "#{day.iso8601}T16:00:00Z", row["by"]
          @context.store.transaction do
            job = jobs.add(axle_id:, procedure: @context.knowledge.procedure.id, planned_for: day, at:, by:)
            jobs.record_event(job.id, "scope", { axles: { axle_id.to_s => row["works"] }, reasons: {} }, at:, by:)
            jobs.record_event(job.id, "finished", closed, at:, by:)
          end
        end

        def job(axle_id, given)
          return unless given

          jobs = Jobs::JobChanges.new(@context.as(given["by"]))
          day = given["planned"] == "saturday" ? coming_saturday : @context.today
          job = jobs.plan(axle_id, day.iso8601)
          jobs.resolve(job.id, given["resolved"], true) if given["resolved"]
          jobs.change(job.id, state: "ready", because: given["because"]) if given["because"]
          given.fetch("notes", {}).each { |key, text| jobs.note(job.id, key, text) }
          tick_until(job, jobs.step_keys(job), given["ticked_until"], given["by"]) if given["ticked_until"]
        end

        def tick_until(job, keys, last, by)
          ticks = Jobs::JobTicks.new(@context.as(by))
          keys.take(keys.index(last) + 1).each { |key| ticks.tick(job.id, [key], true) }
        end

        def supplies(axle_id, rows)
          rows.each do |row|
            Workshop::Supplies.new(@context).add({ kind: "part", axle: axle_id, **row.transform_keys(&:to_sym) })
          end
        end

        def coming_saturday = @context.today + (((6 - @context.today.wday - 1) % 7) + 1)
      end
    end
  end
end
