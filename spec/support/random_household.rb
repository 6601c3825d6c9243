# frozen_string_literal: true

require "json"

# A household's file filled with rows at random: every table of the open format, every column with and without a value,
# texts of any language, every reference to a row that is there. What the rows mean doesn't matter to the format.
class RandomHousehold
  TEXTS = [
    "Juniper",
    "",
    " two words ",
    "déjà vu",
    "„Bremse“",
    "ブレーキ",
    "a,b\"c\nd",
    "7/32",
    "'=1+1",
    "🛞",
    "{no json}"
  ].freeze
  JSON_TEXTS = [
    "{}",
    "[1,2.5,null]",
    '{"a":{"b":[true]},"ü":"x"}',
    '{ "spaced": 1 }',
    "plain",
    "2026-05-16",
    "1.50"
  ].freeze
  VALUES = {
    "integer" => [-3, 0, 1, 1_000_000],
    "number" => [0.0, 1.5, 80_467.2, 1e-7, 123_456_789.125],
    "boolean" => [true, false],
    "string" => TEXTS
  }.freeze
  # vehicle: number of the one it belongs to, or nil
  Row = Struct.new(:node, :columns, :vehicle)

  def initialize(database, seed)
    @database = database
    @random = Random.new(seed)
    @number = 10
  end

  def fill
    @rows = []
    Graver::Storage::OpenFormat::Tree.top.each_value { |node| grow(node, nil, nil, 3) }
    @rows.each { |row| refer(row) }
    @database.transaction do
      @database.run("PRAGMA defer_foreign_keys = ON")
      kept.each { |row| @database[row.node.table].insert(row.columns) }
      @database[:preferences].insert(key: "units", value: JSON.generate({ "pad" => pick(%w[mm in]) }))
      @database[:preferences].insert(key: "phone_access", value: '{"digest":"secret"}')
    end
  end

  private

  def pick(list) = list[@random.rand(list.length)]

  def grow(node, owner, vehicle, most)
    @random
      .rand((node.id? ? most : 1) + 1)
      .times do
        values = values(node)
        values[node.parent] = owner if node.parent
        number = values[:id] || owner
        mine = node.table == :vehicles ? number : vehicle
        @rows << Row.new(node, values, mine)
        node.children.each_value { |child| grow(child, number, mine, 2) }
      end
  end

  def values(node)
    schema = @database.schema(node.table).to_h
    node.columns.to_h { |name, type| [name.to_sym, value(node, name, type, schema.fetch(name.to_sym)[:allow_null])] }
  end

  def value(node, name, type, optional)
    return @number += 1 + @random.rand(3) if name == "id"
    return if optional && @random.rand(3).zero?
    # axles of a vehicle have names of their own
    return "axle #{@number}" if node.table == :axles && name == "name"

    pick(node.json.include?(name) ? JSON_TEXTS : VALUES.fetch(type))
  end

  # To rows of the same vehicle, or of none.
  def refer(row)
    row.node.refers.each do |column, table|
      there = @rows.select { |other| other.node.table == table && near?(row, other) }
      row.columns[column.to_sym] = row.columns[column.to_sym] && !there.empty? ? pick(there).columns[:id] : nil
    end
  end

  def near?(one, other) = [one, other].any? { |row| row.vehicle.nil? } || one.vehicle == other.vehicle

  # Without those that lack a reference they need, or have the same as another.
  def kept
    whole =
      @rows.reject do |row|
        row.node.refers.keys.any? { |name| row.columns[name.to_sym].nil? && needed?(row.node, name) }
      end
    whole.uniq do |row|
      row.node.table == :forecasts_given ? row.columns.values_at(:axle_id, :inspection_id) : row.columns
    end
  end

  def needed?(node, column) = !@database.schema(node.table).to_h.fetch(column.to_sym)[:allow_null]
end
