# frozen_string_literal: true

require_relative "../support/api_helper"

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

  it "has each address described, and answers each that is" do
    expect(routes.map { |route| [route.verb, route.path.gsub(/:(\w+)/, '{\1}')] }).to match_array(operations.keys)
  end

  it "names actions as the description does, and answers with the status it promises" do
    routes.each do |route|
      operation = operations.fetch([route.verb, route.path.gsub(/:(\w+)/, '{\1}')])
      expect(operation["operationId"]).to eq(route.action.to_s.gsub(/_(\w)/) { Regexp.last_match(1).upcase })
      expect(operation["responses"].keys.grep(/\A2/)).to eq([route.status.to_s]), "#{route.verb} #{route.path}"
      expect(operation["tags"]).to be_one
    end
  end
end
