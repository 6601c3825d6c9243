# frozen_string_literal: true

require "yaml"

# Which operations of openapi/graver.yml have answered well (2xx) while the API's specs ran. One that never does is not
# tested, however often it was asked for something wrong.
module AnsweredRoutes
  PATHS = YAML.load_file(File.join(Graver::Boot::ROOT, "openapi/graver.yml"), aliases: true).fetch("paths")
  VERBS = %w[get post put patch delete].freeze
  OPERATIONS =
    PATHS.flat_map do |path, operations|
      pattern = /\A#{path.gsub(/{[^}]+}/, "[^/]+")}\z/
      (operations.keys & VERBS).map { |verb| [verb, pattern, operations[verb]["operationId"]] }
    end
  # A path of words alone is meant where one with a place would do too.
  ORDER = OPERATIONS.sort_by { |_, pattern, _| pattern.source.count("[") }

  @answered = Set.new

  # Puts a note round a Rack application.
  def self.noting(application)
    ->(env) { application.call(env).tap { |status, *| note(env["REQUEST_METHOD"], env["PATH_INFO"], status) } }
  end

  def self.note(verb, path, status)
    return unless status.between?(200, 299)

    found =
      ORDER.find do |each, pattern, _|
        each == verb.downcase && pattern.match?(path.delete_prefix("/api/v1").delete_suffix("/"))
      end
    @answered << found.last if found
  end

  # Operation ids
  def self.never_well = OPERATIONS.map(&:last) - @answered.to_a
end

RSpec.configure do |config|
  config.after(:suite) do
    all = Dir.glob(File.join(Graver::Boot::ROOT, "spec/api/*_spec.rb")).map { |file| File.expand_path(file) }
    whole = (all - config.files_to_run.map { |file| File.expand_path(file) }).empty?
    missing = AnsweredRoutes.never_well
    if whole && missing.any? && config.inclusion_filter.empty?
      raise "no spec gets a good answer from: #{missing.join(", ")}"
    end
  end
end
