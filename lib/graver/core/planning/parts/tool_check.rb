# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # The tools of a job compared with those owned.
      class ToolCheck
        # status: "owned", "instead" (an owned tool does it as safely: by) or "missing"; uses: what it is for, e.g.
        # fasteners
        Line = Value.define(:id, :label, :status, :by, :uses, :never, :note, :special)

        # tools: knowledge entries in the order they are shown
        def initialize(tools)
          @tools = tools.to_h { |tool| [tool.id, tool] }
        end

        # ids: of tools the steps name; drives: { drive id => [[drive label, fastener label], ...] }; owned: ids ->
        # [Line]
        def call(ids, drives, owned)
          named = ids.uniq.filter_map { |id| line(@tools.fetch(id), owned, []) unless @tools.fetch(id).by_torque }
          named + drives.group_by { |drive, _| covering(drive) }.map { |set, mine| drive_line(set, mine, owned) }
        end

        private

        def covering(drive) = @tools.values.find { |tool| tool.covers.include?(drive) }

        def drive_line(set, drives, owned)
          uses = drives.flat_map { |_, uses| uses }.map { |drive, fastener| "#{drive} for the #{fastener.downcase}" }
          return line(set, owned, uses) if set

          Line.new(
            id: drives.first.first,
            label: uses.first,
            status: "missing",
            by: nil,
            uses:,
            never: nil,
            note: nil,
            special: true
          )
        end

        def line(tool, owned, uses)
          instead = owned.include?(tool.id) ? nil : tool.instead.find { |id| owned.include?(id) }
          status = owned.include?(tool.id) ? "owned" : "missing"
          Line.new(
            id: tool.id,
            label: tool.label,
            status: instead ? "instead" : status,
            by: instead && @tools.fetch(instead).label,
            uses:,
            never: tool.never,
            note: tool.note,
            special: tool.special
          )
        end
      end
    end
  end
end
