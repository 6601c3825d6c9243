# frozen_string_literal: true

require "date"

module Graver
  module Service
    module Forecast
      # A vehicle's timeline of distance and date, the jobs best done together, and the owner's reminders.
      class Timeline
        # kind: "look", "renew", "order", "due", "fluid", "inspection", "trip", "driving", "retorque", "first_reading",
        # "relook", "job"; axle: its name or nil; date: Date; km: from now; until: Date or nil; text: a sentence; row:
        # id of the owner's own entry
        Event = Core::Value.define(:kind, :axle, :date, :km, :until_date, :text, :row)
        # axles: names; date, km: when; fluid: with it; text
        Session = Core::Value.define(:axles, :date, :km, :fluid, :text)
        # What comes next on an axle: an inspection, or new pads without one before.
        NEXT = %w[look renew].freeze
        # Texts by whether that is now.
        LOOK = { true => "timeline.look", false => "timeline.look_within" }.freeze
        RENEW = { true => "timeline.renew", false => "timeline.renew_within" }.freeze
        # Nobody is reminded of wheel nuts later than that.
        RETORQUE_DAYS = 60
        View = Core::Value.define(:overview, :events, :sessions, :next_look)

        def initialize(context)
          @context = context
          @choices = Household::ScheduleChoices.new(context)
          @rules = context.knowledge.schedule
        end

        # VehicleOverviews::Overview -> View
        def call(overview)
          @overview = overview
          events =
            [
              *overview.axles.flat_map { |axle| axle_events(axle) },
              *fluid,
              *planned,
              *retorque,
              *first_readings,
              *relooks
            ].sort_by { |event| [event.date, event.kind, event.text] }
          View.new(overview:, events:, sessions:, next_look: events.find { |event| NEXT.include?(event.kind) })
        end

        private

        def today = @context.today
        def unit = @overview.vehicle.distance_unit
        def timeline = @overview.axles.first.answer.timeline

        def event(kind, date, text, axle: nil, km: nil, until_date: nil, row: nil)
          Event.new(kind:, axle:, date:, until_date:, text:, row:, km: km || timeline.km_by(date))
        end

        def axle_events(axle)
          name = axle.file.axle.name
          job = @overview.jobs.fetch(axle.file.axle.id, []).first
          [
            look(axle, name),
            *due(axle, name, job),
            (
              if job&.planned_for
                event(
                  "job",
                  [job.planned_for, today].max,
                  Message.of("timeline.job_#{job.state}", axle: name.capitalize),
                  axle: name
                )
              end
            )
          ].compact
        end

        def look(axle, name)
          answer = axle.answer
          date = answer.look_again_date(@context.knowledge.look_again_most_days) or return
          km = answer.look_again_at_either_km
          # Due by distance, the distance is given as everywhere else; due by time, the distance driven until then.
          far = date < answer.date_for(km) ? answer.timeline.km_by([date, today].max) : km
          renew = answer.renew_next?(@context.knowledge.look_again_most_days)
          text = (renew ? RENEW : LOOK).fetch(far < 100)
          event(
            renew ? "renew" : "look",
            [date, today].max,
            axle.file.wording.own(Message.of(text, axle: name, unit:, km: far)),
            axle: name,
            km: far
          )
        end

        # Parts are ordered so that they are there at the careful end of the forecast.
        def due(axle, name, job)
          careful = careful(axle) or return []
          order = [careful[:date] - @choices.chosen.fetch("lead_days"), today].max
          events = [
            event(
              "due",
              careful[:date],
              Message.of("timeline.due", axle: name, part: careful[:part], limit: careful[:limit_mm].to_f),
              axle: name,
              km: careful[:km]
            )
          ]
          unless job
            events << event("order", order, Message.of("timeline.order", axle: name, part: careful[:part]), axle: name)
          end
          events
        end

        # The cautious end of what comes first: the pads, or rotors that have been read.
        def careful(axle)
          answer = axle.answer
          results =
            { "pad" => answer.pads, "rotor" => answer.rotors }.select { |_, result| result&.readings&.positive? }
          results
            .map { |part, result| careful_end(answer, "#{axle.file.part_name(part)}s", result) }
            .min_by { |found| found[:date] }
        end

        def careful_end(answer, part, result)
          chance = @rules.fetch("careful").fetch("chance")
          {
            part:,
            km: result.first.quantile(chance),
            limit_mm: result.limit_mm,
            date: answer.date_after(answer.timeline.days_until(result.first).fetch(chance))
          }
        end

        def fluid
          due = @overview.fluid or return []
          [
            event(
              "fluid",
              [due.due_on, today].max,
              (
                if due.overdue_days.positive?
                  Message.of("timeline.fluid_overdue", day: due.due_on)
                else
                  Message.of("timeline.fluid_due")
                end
              )
            )
          ]
        end

        def planned
          @overview
            .axles
            .first
            .file
            .planned
            .rows
            .reject { |row| (row.to_on || row.from_on) < today && row.kind != "driving" }
            .map { |row| event(row.kind, [row.from_on, today].max, row.name, until_date: row.to_on, row: row.id) }
        end

        # Wheel nuts again, so many km after a job was finished.
        def retorque
          @overview.axles.flat_map do |axle|
            days =
              @overview
                .finished
                .select { |job| job.axle_ids.include?(axle.file.axle.id) && !job.done.include?("retorque") }
                .map { |job| Date.iso8601(job.closed["day"]) }
            days.select { |day| day > today - RETORQUE_DAYS }.filter_map { |day| retorque_event(axle, day) }
          end
        end

        def retorque_event(axle, day)
          from, upto = @rules.fetch("retorque").values_at("from_km", "to_km")
          driven = axle.answer.driving.km_per_day * (today - day)
          return if driven > upto

          km = [from - driven, 0].max
          text =
            Message.of(
              "timeline.retorque",
              axle: axle.file.axle.name,
              distance: Base::Wording.new(unit).trade("{distance:#{from}-#{upto}}")
            )
          event("retorque", timeline.as_of + timeline.days_for(km).floor, text, axle: axle.file.axle.name, km:)
        end

        # Follow-ups with a day to look again.
        def relooks
          @overview
            .follow_ups
            .select { |each| each.open? && each.look_on }
            .map { |each| event("relook", [each.look_on, today].max, Message.of("timeline.relook", what: each.text)) }
        end

        # New pads are read soon: that anchors their forecast.
        def first_readings
          @overview.axles.filter_map do |axle|
            pads = axle.answer.pads
            fitted =
              axle
                .file
                .positions
                .filter_map { |position| axle.file.since_fit("pad", *position.split("_")).first }
                .select(&:renewal?)
                .map(&:odometer_km)
                .max
            next unless fitted && pads&.observed&.zero?

            km = [fitted + @rules.dig("first_reading", "after_km") - axle.answer.as_of_km, 0].max
            event(
              "first_reading",
              timeline.as_of + timeline.days_for(km).floor,
              axle.file.wording.own(Message.of("timeline.first_reading", axle: axle.file.axle.name)),
              axle: axle.file.axle.name,
              km:
            )
          end
        end

        # Jobs that fall due near each other, and the fluid where it is due by then.
        def sessions
          found = @overview.axles.to_h { |axle| [axle.file.axle.name, careful(axle)] }.compact
          dues =
            found.map do |name, careful|
              Core::Schedule::Sessions::Due.new(id: name, at_km: careful[:km], at_days: (careful[:date] - today).to_i)
            end
          groups =
            Core::Schedule::Sessions.combine(
              dues,
              within_km: @choices.chosen.fetch("combine_km"),
              within_days: @choices.chosen.fetch("combine_days")
            )
          groups.map { |group| session(group, found) }
        end

        def session(group, found)
          date = today + group.dues.first.at_days
          names = group.dues.map(&:id)
          fluid = @overview.fluid && @overview.fluid.due_on <= date + @choices.chosen.fetch("combine_days")
          Session.new(
            axles: names,
            date:,
            km: group.dues.first.at_km,
            fluid: fluid || false,
            text: [together(group, found), (Message.of("timeline.session_fluid") if fluid)].compact.join(" ")
          )
        end

        def together(group, found)
          first, *others = group.dues.map(&:id)
          return Message.of("timeline.alone", axle: first, part: found[first][:part]) if others.empty?

          said = { others:, part: found[others.first][:part], axle: first, first: found[first][:part] }
          return Message.of("timeline.together", **said) if group.apart_km < 100 && group.apart_days.zero?

          said[:days] = group.apart_days
          return Message.of("timeline.behind", **said) if group.apart_km < 100

          Message.of("timeline.behind_both", **said, unit:, km: group.apart_km)
        end
      end
    end
  end
end
