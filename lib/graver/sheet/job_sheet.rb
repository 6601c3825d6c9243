# frozen_string_literal: true

require "date"

module Graver
  module Sheet
    # A job on paper: done and open work, sections, parts, consumables, tools and fluid, the torque card, the steps with
    # boxes and cautions, and room for the day's readings.
    class JobSheet
      STATES = {
        "shelf" => "sheet.shelf",
        "order" => "sheet.to_order",
        "choose" => "sheet.choose",
        "resolved" => "sheet.resolved"
      }.freeze
      SEVERITY = { "danger" => "9b1c31", "warning" => "8a4b00", "notice" => "0d5a66" }.freeze

      # An axle finds room on five pages; its steps are set smaller where they must.
      MOST_PAGES = 5
      STEP = [8.5, 8.0, 7.5].freeze

      # job: as the API answers it (symbol keys); size: a key of Paper::SIZES; drawings: of its axles, [{ axle:, apart:,
      # named:, frames: }] -> PDF bytes. Raises InvalidEntry.
      def self.call(job, size, drawings = [])
        raise InvalidEntry.of("paper", "unknown_paper", Say::Texts.t("faults.paper")) unless Paper::SIZES.key?(size)

        made = {}.compare_by_identity
        sheets = STEP.lazy.map { |step| new(job, size, step, drawings, made).tap(&:draw) }
        (sheets.find { |sheet| sheet.pages <= MOST_PAGES } || sheets.to_a.last).bytes
      end

      # step: points of type of the steps
      def initialize(job, size, step, drawings, made)
        @job = job
        @drawings = drawings
        @made = made
        @step = step
        @paper = Paper.new(size, title: Say::Texts.t("sheet.title", vehicle: job[:vehicle][:name]))
        @pdf = @paper.pdf
      end

      def pages = @pdf.page_count
      def bytes = @paper.bytes

      def draw
        head
        open_items
        sections
        parts
        fluid
        lists
        torque
        ReadingsTable.new(@paper, @job).draw
        BrakePages.new(@paper, @drawings, @made).draw
        steps
        @paper.foot(Say::Texts.t("sheet.foot"))
      end

      private

      def several = @job[:axles].length > 1

      def head
        day = @job[:planned_for]
        @paper.say (
                     if day
                       Say::Texts.t("sheet.dated", vehicle: @job[:vehicle][:name], day:)
                     else
                       Say::Texts.t("sheet.no_day", vehicle: @job[:vehicle][:name])
                     end
                   ),
                   size: 22,
                   style: :bold
        @paper.say @job[:vehicle][:noted], size: 10, colour: Paper::QUIET if @job[:vehicle][:noted]
        @paper.say @job[:title], size: 11
        hours = @job[:money][:hours]
        @paper.say Say::Texts.t("sheet.time", hours: hours[:said], state: @job[:state].tr("_", " ")),
                   colour: Paper::QUIET
      end

      def open_items
        open = @job[:readiness].reject { |item| item[:resolved] }
        return if open.empty?

        @paper.heading(Say::Texts.t("sheet.open_items"))
        open
          .partition { |item| item[:blocks] }
          .flatten
          .map { |item| ["#{item[:text].chomp(".")}. #{item[:todo]}", false] }
          .then { |items| @paper.ticks(items, size: @step + 0.5) }
      end

      def sections
        @job[:axles].each do |axle|
          @paper.heading(Say::Texts.t("sheet.to_scale", axle: axle[:axle][:name].capitalize), room: 150)
          left, top = 0, @pdf.cursor - 24
          axle[:axle][:corners].each do |corner|
            section = corner[:drum] ? DrumSection : Section
            left += section.new(@pdf).draw(corner, [left, top]) + 40
          end
          @pdf.move_cursor_to top - 66
          axle[:rotor][:sides].each { |side| @paper.say side[:sentence], size: 9 }
        end
      end

      def parts
        @paper.heading("Parts")
        @paper.table(
          [["", "Part", "Yours", "Number", "State"], *@job[:parts].map { |part| part_row(part) }],
          widths: {
            0 => 24
          }
        )
      end

      def lists
        @paper.heading(Say::Texts.t("sheet.consumables"), room: 150)
        bought = @job[:consumables].map { |each| ["#{each[:label]}: #{each[:said]}", each[:state] != "buy"] }
        tools = @job[:tools].map { |tool| [tool_text(tool), tool[:status] != "missing" || tool[:resolved]] }
        @paper.ticks(bought + tools, size: @step + 0.5)
        @paper.heading(Say::Texts.t("sheet.what_where"))
        @paper.table(
          [%w[Place Yes Never], *@job[:places].map { |place| place.values_at(:place, :use, :never) }],
          widths: {
            0 => 110
          },
          size: 8
        )
      end

      def tool_text(tool)
        [tool[:label], tool[:uses].join("; "), tool[:by] ? "#{tool[:by]} instead" : ""].reject(&:empty?).join(", ")
      end

      def part_row(part)
        chosen = part[:supplies].find { |supply| supply[:id] == part[:chosen] }
        [
          (part[:count] || "?").to_s,
          several ? "#{part[:axle].capitalize}: #{part[:label]}" : part[:label],
          chosen ? chosen[:name] : "",
          (chosen && chosen[:number]).to_s,
          (
            if part[:order_by]
              Say::Texts.t("sheet.order_by", day: part[:order_by])
            else
              Say::Texts.t(STATES.fetch(part[:state]))
            end
          )
        ]
      end

      def fluid
        fluid = @job[:fluid] or return
        @paper.heading("Fluid")
        bottles = fluid[:bottles_ml].map { |ml| format("%g", ml) }.join(" + ")
        @paper.say [
                     Say::Texts.t("sheet.grade", grade: fluid[:grade] || Say::Texts.t("sheet.unknown")),
                     (Say::Texts.t("sheet.never_mix", grades: fluid[:never].join(", ")) if fluid[:never].any?),
                     Say::Texts.t("sheet.fluid", needed: fluid[:needed_ml], bottles:)
                   ].compact.join(" ")
        pushed = fluid[:pushed_ml] && Say::Texts.t("sheet.pushed", ml: fluid[:pushed_ml])
        drawn = fluid[:draw_off_ml]&.positive? && Say::Texts.t("sheet.draw_off", ml: fluid[:draw_off_ml])
        @paper.say [pushed, drawn || nil].compact.join(" ") if pushed
        @paper.say "Bleed: #{fluid[:order].join(", ")}. #{fluid[:order_from]}" if fluid[:bleeds]
      end

      # What warns is printed wherever it matters, a mere notice once.
      def said_once?(caution)
        @notices ||= Set.new
        caution[:severity] != "notice" || @notices.add?(caution[:text])
      end

      # Figures to look up. The card you read from a distance is a separate page (WallCard).
      def torque
        return if @job[:torque].empty?

        @paper.heading("Torque")
        rows = @job[:torque].map { |line| torque_row(line) }
        @paper.table([%w[Fastener Torque Tool Count], *rows], widths: { 3 => 40 })
      end

      def torque_row(line)
        [
          several ? "#{line[:axle].capitalize} #{line[:label].downcase}" : line[:label],
          [torque_said(line), *reached(line)].join(". "),
          line[:drive] || Say::Texts.t("torque.no_size"),
          (line[:count] || "?").to_s
        ]
      end

      def reached(line)
        line[:reached].any? ? [Say::Texts.t("torque.reached", bolts: line[:reached].join(", "))] : []
      end

      def torque_said(line)
        return figures(line) if line[:newton_metres]

        Say::Texts.t(line[:snug] ? "torque.snug" : "torque.no_value")
      end

      # Small, in two columns.
      def steps
        return @paper.say(Say::Texts.t("sheet.no_order"), style: :bold) unless @job[:steps]

        @paper.in_columns { steps_in_order }
      end

      def steps_in_order
        title = nil
        @job[:steps]
          .slice_before { |step| !step[:joins] }
          .each do |group|
            first = group.first
            at = [first[:place]&.capitalize, first[:place] ? first[:stage].downcase : first[:stage]].compact.join(": ")
            @paper.heading(at, room: 80) unless at == title
            title = at
            step_group(group)
          end
      end

      # One box for steps that are done in one go.
      def step_group(steps)
        @paper.tick(
          steps.map { |step| with_torque(step) }.join(" "),
          done: steps.all? { |step| @job[:ticked].include?(step[:key]) },
          style: steps.any? { |step| step[:mandatory] } ? :bold : :normal,
          size: @step
        )
        steps.each { |step| beneath(step) }
        @pdf.move_down 2
      end

      def with_torque(step)
        known = step[:tighten].select { |line| line[:newton_metres] }
        [step[:text], *known.map { |line| value(line, step[:tighten].length > 1) }].join("  ")
      end

      def beneath(step)
        step[:values].each do |each|
          @paper.say "#{each[:label]}: #{each[:value]}", size: @step - 1, indent: Paper::TEXT
        end
        step[:last_time].each do |note|
          @paper.say Say::Texts.t("sheet.last_time", day: note[:day], text: note[:text]),
                     size: @step - 1,
                     indent: Paper::TEXT
        end
        step[:notes].each do |note|
          @paper.say Say::Texts.t("sheet.note", text: note[:text]), size: @step - 1, indent: Paper::TEXT
        end
        step[:cautions].each do |caution|
          next unless said_once?(caution)

          @paper.say "#{caution[:severity].capitalize}: #{caution[:text]}",
                     size: @step - 1,
                     colour: SEVERITY.fetch(caution[:severity]),
                     indent: Paper::TEXT
        end
      end

      def value(line, named) = "[#{"#{line[:axle]} #{line[:label].downcase} " if named}#{figures(line)}]"

      def figures(line)
        angle = line[:angle_degrees] ? ", then #{format("%g", line[:angle_degrees])}°" : ""
        Say::Formats
          .torques(line)
          .map { |figure, unit| Say::Formats.with_unit(format("%g", figure), unit) }
          .join(", ") + angle
      end
    end
  end
end
