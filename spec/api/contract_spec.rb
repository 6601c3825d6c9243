# frozen_string_literal: true

require_relative "../support/api_helper"
require_relative "../support/fault_codes"

# The tables of routes and openapi/graver.yml say the same.
RSpec.describe Graver::API::App do
  described = YAML.safe_load_file(File.join(Graver::Boot::ROOT, "openapi/graver.yml"))
  operations =
    described
      .fetch("paths")
      .flat_map do |path, verbs|
        verbs.slice("get", "post", "put", "patch", "delete").map { |verb, operation| [[verb.upcase, path], operation] }
      end
      .to_h
  routes = described_class::RESOURCES.flat_map(&:routes)

  it "describes every route and serves every description" do
    expect(routes.map { |route| [route.verb, route.path.gsub(/:(\w+)/, '{\1}')] }).to match_array(operations.keys)
  end

  it "names actions and statuses as described" do
    routes.each do |route|
      operation = operations.fetch([route.verb, route.path.gsub(/:(\w+)/, '{\1}')])
      expect(operation["operationId"]).to eq(route.action.to_s.gsub(/_(\w)/) { Regexp.last_match(1).upcase })
      expect(operation["responses"].keys.grep(/\A20/)).to eq([route.status.to_s]), "#{route.verb} #{route.path}"
      expect(operation["tags"]).to be_one
    end
  end

  it "describes each action by verb and object, and one sentence" do
    verbs =
      %w[
        Add
        Answer
        Change
        Check
        Choose
        Close
        Confirm
        Correct
        Create
        Discard
        Edit
        Estimate
        Export
        Finish
        Forecast
        Get
        List
        Log
      ] +
        %w[
          Make
          Move
          Pause
          Plan
          Preview
          Print
          Propose
          Put
          Read
          Remove
          Report
          Resolve
          Restore
          Run
          Set
          Sign
          Tick
          Try
          Undo
          Upload
        ] + %w[Withdraw Save Measure]
    operations.each_value do |operation|
      expect(verbs).to include(operation["summary"].split.first)
      expect(operation["description"]).to match(/\A[A-Z][^\n]{15,}\.\z/)
    end
  end

  schemas = described.fetch("components").fetch("schemas")
  properties =
    lambda do |node, path|
      next node.flat_map { |each| properties.call(each, path) } if node.is_a?(Array)
      next [] unless node.is_a?(Hash)

      own = node["properties"].is_a?(Hash) ? node["properties"] : {}
      own.map { |name, property| ["#{path}.#{name}", property] } + properties.call(node.values, path)
    end
  all = schemas.flat_map { |name, schema| properties.call(schema, name) }

  it "describes every property" do
    refers = ->(node) { node.is_a?(Hash) && (node.keys.intersect?(%w[$ref allOf]) || node.values.any?(&refers)) }
    silent = all.reject { |_, property| property["description"].to_s.length > 4 || refers.call(property) }
    expect(silent.map(&:first)).to be_empty
  end

  it "names the unit of every length, distance, volume, angle and torque" do
    units = {
      "mm" => "mm",
      "km" => "km",
      "ml" => "ml",
      "degrees" => "degrees",
      "celsius" => "Celsius",
      "percent" => "percent"
    }
    numbers = all.select { |_, property| property["type"].to_s.match?(/number|integer/) }
    wrong =
      numbers.reject do |name, property|
        unit = units[name[/[a-z]+\z/]]
        unit.nil? || property["description"].match?(/\b#{unit}\b/)
      end
    expect(wrong.map(&:first)).to be_empty
    expect(numbers.count { |name, _| units.key?(name[/[a-z]+\z/]) }).to be > 70
  end

  it "lists every error code" do
    expect(schemas.dig("FaultCode", "enum")).to match_array(FaultCodes.of(File.join(Graver::Boot::ROOT, "lib/graver")))
    problems =
      %w[
        NotFound
        Conflict
        DeviceFailed
        NotSaved
        API::Malformed
        API::TooLarge
        API::NotSignedIn
        API::TooOften
        API::GuestReads
      ].map { |name| Graver.const_get(name) }
    listing = [Graver::InvalidEntry.new([]), Graver::ChangedElsewhere.new([], "seen")]
    errors = [StandardError, *problems].map { |type| type.new("so") } + listing
    codes = errors.map { |error| Graver::API::ErrorMap.call(error).code }
    expect(schemas.dig("ProblemCode", "enum")).to match_array(codes)
  end
end
