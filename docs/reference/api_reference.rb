# frozen_string_literal: true

require "cgi"
require "yaml"

# The OpenAPI description as one page to read: every address with what it takes and answers, then every schema.
class ApiReference
  STYLE = <<~CSS
    body { font: 16px/1.5 system-ui, sans-serif; max-width: 60rem; margin: 2rem auto; padding: 0 1rem; color: #1b2227; }
    h2 { margin-top: 2.5rem; } h3 { margin: 2rem 0 0; } code, .path { font-family: ui-monospace, monospace; font-size: 0.95em; }
    .verb { display: inline-block; min-width: 4.2rem; font-weight: 700; color: #0d5a66; }
    table { border-collapse: collapse; width: 100%; margin: 0.5rem 0; } td, th { border: 1px solid #b9c0c2; padding: 0.3rem 0.5rem; text-align: left; vertical-align: top; }
    nav { columns: 3; font-size: 0.9em; } a { color: #0d5a66; }
  CSS

  # path: of an OpenAPI 3.0 description in YAML
  def initialize(path)
    @api = YAML.safe_load_file(path)
  end

  # -> String, a whole page
  def html
    info = @api.fetch("info")
    <<~HTML
      <!doctype html>
      <html lang="en">
      <head><meta charset="utf-8"><title>#{text(info["title"])} API reference</title><style>#{STYLE}</style></head>
      <body>
      <h1>#{text(info["title"])} API reference</h1>
      <p>#{text(info["description"])} Addresses start with <code>#{text(@api["servers"].first["url"])}</code>.
      How sessions, conflicts and errors work is in <a href="api.md">api.md</a>. Written from <code>openapi/graver.yml</code> by
      <code>bin/api-reference</code>.</p>
      #{tags.map { |tag, operations| section(tag, operations) }.join("\n")}
      <h2>Schemas</h2>
      <nav>#{schemas.keys.sort.map { |name| "#{link(name)}<br>" }.join}</nav>
      #{schemas.sort.map { |name, schema| schema(name, schema) }.join("\n")}
      </body>
      </html>
    HTML
  end

  private

  def text(given) = CGI.escapeHTML(given.to_s.strip)
  def schemas = @api.dig("components", "schemas")
  def link(name) = "<a href=\"#schema-#{name}\">#{name}</a>"

  # { tag => [[verb, path, operation, parameters]] }
  def tags
    all =
      @api["paths"].flat_map do |path, item|
        shared = item["parameters"] || []
        item.except("parameters").map { |verb, operation| [verb, path, operation, shared + (operation["parameters"] || [])] }
      end
    all.group_by { |_, _, operation| operation["tags"].first }
  end

  def section(tag, operations)
    "<h2>#{text(tag)}</h2>\n#{operations.map { |operation| operation(*operation) }.join("\n")}"
  end

  def operation(verb, path, operation, parameters)
    body = operation.dig("requestBody", "content")&.map { |type, content| "#{type_of(content["schema"])} (#{text(type)})" }
    <<~HTML
      <h3 id="#{text(operation["operationId"])}">#{text(operation["summary"])}</h3>
      <p><span class="verb">#{verb.upcase}</span> <span class="path">#{text(path)}</span><br>#{text(operation["description"])}</p>
      #{parameters.any? ? table(%w[Parameter In Meaning], parameters.map { |each| parameter(resolved(each)) }) : ""}
      #{body ? "<p>Body: #{body.join(" or ")}</p>" : ""}
      #{table(%w[Status Answer], operation["responses"].map { |status, answer| [text(status), answered(answer)] })}
    HTML
  end

  def resolved(given) = given["$ref"] ? @api.dig(*given["$ref"].delete_prefix("#/").split("/")) : given

  def parameter(given)
    name = text(given["name"])
    [given["required"] ? "<code>#{name}</code>" : "<code>#{name}</code> (optional)", text(given["in"]), text(given["description"])]
  end

  def answered(given)
    answer = resolved(given)
    types = (answer["content"] || {}).map { |type, content| "#{type_of(content["schema"])} (#{text(type)})" }
    [text(answer["description"]), *types].join(" ")
  end

  def type_of(schema)
    return link(schema["$ref"].split("/").last) if schema["$ref"]
    return "array of #{type_of(schema["items"])}" if schema["type"] == "array"
    return Array(schema["allOf"]).map { |each| type_of(each) }.join(" and ") if schema["allOf"]

    [text(schema["type"]), schema["format"] && text(schema["format"])].compact.join(", ")
  end

  def schema(name, schema)
    rows = (schema["properties"] || {}).map { |key, property| row(key, property, schema["required"] || []) }
    values = schema["enum"] ? "<p>One of: #{schema["enum"].map { |each| "<code>#{text(each)}</code>" }.join(", ")}</p>" : ""
    "<h3 id=\"schema-#{name}\">#{name}</h3><p>#{text(schema["description"])}</p>#{values}" \
      "#{rows.any? ? table(%w[Field Type Meaning], rows) : ""}"
  end

  def row(key, property, required)
    notes = [text(property["description"])]
    notes << "One of: #{property["enum"].map { |each| text(each) }.join(", ")}." if property["enum"]
    notes << "May be null." if property["nullable"]
    field = "<code>#{text(key)}</code>#{" (optional)" unless required.include?(key)}"
    [field, type_of(property), notes.reject(&:empty?).join(" ")]
  end

  def table(heads, rows)
    head = heads.map { |each| "<th>#{each}</th>" }.join
    "<table><tr>#{head}</tr>#{rows.map { |row| "<tr>#{row.map { |cell| "<td>#{cell}</td>" }.join}</tr>" }.join}</table>"
  end
end
