# frozen_string_literal: true

module Graver
  module API
    module Serializers
      # The torque that bolts of a job reached.
      module Torques
        module_function

        # Storage::Job or nil
        def call(job)
          (job&.torques || []).map do |entry|
            {
              **entry.slice("step", "axle", "fastener", "bolt", "verdict").transform_keys(&:to_sym),
              said: said(entry),
              simulated: entry["simulated"],
              wrench: entry["wrench"],
              because: entry["because"]
            }
          end
        end

        # Entries of one fastener -> what each bolt reached: ["left 1: clicked", "left 2: 28.1 N·m", "3: by feel (no
        # room)"]
        def reached(entries)
          entries.map do |entry|
            side = entry["step"].split(".")[1] if entry["step"].count(".") == 2
            "#{[side, entry["bolt"]].compact.join(" ")}: #{outcome(entry)}"
          end
        end

        def outcome(entry)
          figure = said(entry)
          case entry["verdict"]
          when "felt"
            Say::Texts.t("torque.felt", because: entry["because"])
          when "under", "undone"
            Say::Texts.t("torque.not_tight", figure: figure || "?")
          else
            figure || Say::Texts.t("torque.clicked")
          end
        end

        # "28.1 N·m", "92 N·m, 91°"; nil if it only clicked
        def said(entry)
          torque = entry["reached"] && [entry["reached"], entry["unit"]].compact.join(" ")
          angle = entry["angle"] && "#{format("%g", entry["angle"])}°"
          [torque, angle].compact.join(", ").then { |text| text.empty? ? nil : text }
        end
      end
    end
  end
end
