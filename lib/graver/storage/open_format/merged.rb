# frozen_string_literal: true

require "json"

module Graver
  module Storage
    module OpenFormat
      # Adds to a household what a checked document has and it hasn't. A row is known by the columns household.yml
      # names; nothing present changes. What would contradict the present is left out and counted.
      class Merged
        Count = Struct.new(:added, :present, :left_out)
        # What an event of a job holds names rows by their numbers.
        NAMED = { "axle" => :axles, "supply" => :supplies, "event" => :job_events }.freeze
        BY_AXLE = %w[axles reasons verdicts].freeze

        # database: Sequel::Database
        def initialize(database)
          @database = database
          @ids = Hash.new { |ids, table| ids[table] = {} }
          @events = []
          @counts = Tree.tables.transform_values { Count.new(0, 0, 0) }
        end

        # -> { table => Count }, in a transaction of the caller's
        def call(document)
          Tree.top.each { |name, node| all(node, document.fetch(name), nil) }
          # they name what has its number by now
          @events.each { |node, rows, owner| events(node, rows, owner) }
          @counts
        end

        private

        # owner: number of the row they belong to here, or nil; fresh: it has just been added, with nothing in it
        def all(node, rows, owner, fresh: false)
          return rows.each { |row| left_out(node, row) } unless node.merge
          return @events << [node, rows, owner] if node.table == :job_events

          here = fresh ? [] : present(node, owner)
          rows.each { |row| one(node, row, owner, here) }
        end

        def present(node, owner)
          mine = @database[node.table]
          mine = mine.where(node.parent => owner) if node.parent
          mine.order(*(node.id? ? [:id] : [node.parent])).all
        end

        def one(node, row, owner, present)
          values = { **mapped(node, row), **(node.parent ? { node.parent => owner } : {}) }
          same = present.delete(present.find { |each| same?(node, each, values) })
          return left_out(node, row) if same.nil? && (older?(node, values, present) || unmapped?(node, row, values))

          same ? @counts[node.table].present += 1 : added(node, values)
          number = same ? same[:id] : @last
          @ids[node.table][row["id"]] = number if node.id?
          node.children.each { |name, child| all(child, row.fetch(name), number || owner, fresh: same.nil?) }
        end

        def added(node, values)
          @counts[node.table].added += 1
          @last = @database[node.table].insert(values.except(:id))
        end

        # With all that belongs to it.
        def left_out(node, row)
          @counts[node.table].left_out += 1
          node.children.each { |name, child| row.fetch(name).each { |each| left_out(child, each) } }
        end

        def same?(node, present, values)
          columns = node.known_by ? node.known_by.map(&:to_sym) : values.keys - [:id]
          columns.all? { |column| present[column] == values[column] }
        end

        def older?(node, values, present)
          column = node.newest_of&.to_sym or return false
          present.any? { |row| row[column] == values[column] && row[:recorded_at] >= values[:recorded_at] }
        end

        # A reference to something that was left out.
        def unmapped?(node, row, values) = node.refers.keys.any? { |name| row[name] && values[name.to_sym].nil? }

        def mapped(node, row)
          values = Rows.columns(node, row)
          values[:about] = retold(values[:about]) if node.columns.key?("about")
          node.refers.each { |name, table| values[name.to_sym] &&= @ids[table][row[name]] }
          node.json.each { |name| values[name.to_sym] = Rows.text(renamed(row[name])) }
          values
        end

        # What an event holds, with the numbers of rows here.
        def renamed(content)
          return content unless content.is_a?(Hash)

          content.to_h do |key, value|
            next key, by_axle(value) if BY_AXLE.include?(key) && value.is_a?(Hash)

            [key, key == "part" ? retold(value) : numbered(NAMED[key], value)]
          end
        end

        def by_axle(by) = by.transform_keys { |id| numbered(:axles, Integer(id, exception: false)).to_s }
        def numbered(table, id) = table && id.is_a?(Integer) ? @ids[table].fetch(id, id) : id

        # "1.pad" names an axle, "job-5" a job.
        def retold(text)
          text
            &.sub(/\A(\d+)(?=\.)/) { numbered(:axles, _1.to_i).to_s }
            &.sub(/\Ajob-(\d+)\z/) { "job-#{numbered(:jobs, Regexp.last_match(1).to_i)}" }
        end

        # Events of a job are only added: where both have gone on since, the present ones stay.
        def events(node, rows, owner)
          here = present(node, owner)
          rows.each_with_index do |row, at|
            values = mapped(node, row).except(:id)
            next added_event(node, row, values, owner) unless here[at]
            break @counts[node.table].left_out += rows.length - at if here[at].slice(*values.keys) != values

            @counts[node.table].present += 1
            @ids[node.table][row["id"]] = here[at][:id]
          end
        end

        def added_event(node, row, values, owner)
          added(node, { **values, node.parent => owner })
          @ids[node.table][row["id"]] = @last
        end
      end
    end
  end
end
