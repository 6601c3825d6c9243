# frozen_string_literal: true

require "cgi"
require "yaml"

# The OpenAPI description as one page: every address with its parameters and answers, then every schema.
class ApiReference
  STYLE = <<~CSS
    body { font: 16px/1.5 system-ui, sans-serif; max-width: 60rem; margin: 2rem auto; padding: 0 1rem; color: #1b2227; }
    h2 { margin-top: 2.5rem; } h3 { margin: 2rem 0 0; } code, .path { font-family: ui-monospace, monospace; font-size: 0.95em; }
    .verb { display: inline-block; min-width: 4.2rem; font-weight: 700; color: #0d5a66; }
    table { border-collapse: collapse; width: 100%; margin: 0.5rem 0; }
    td, th { border: 1px solid #b9c0c2; padding: 0.3rem 0.5rem; text-align: left; vertical-align: top; }
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
      #{all_schemas}
      </body>
      </html>
    HTML
  end

  private

  def text(given) = CGI.escapeHTML(given.to_s.strip)
  def link(name) = "<a href=\"#schema-#{name}\">#{name}</a>"

  # { tag => [[verb, path, operation, parameters]] }
  def tags
    all =
      @api["paths"].flat_map do |path, item|
        shared = item["parameters"] || []
        item
          .except("parameters")
          .map { |verb, operation| [verb, path, operation, shared + (operation["parameters"] || [])] }
      end
    all.group_by { |_, _, operation| operation["tags"].first }
  end

  def section(tag, operations)
    "<h2>#{text(tag)}</h2>\n#{operations.map { |operation| operation(*operation) }.join("\n")}"
  end

  def operation(verb, path, operation, parameters)
    answers = operation["responses"].map { |status, answer| [text(status), answered(answer)] }
    <<~HTML
      <h3 id="#{text(operation["operationId"])}">#{text(operation["summary"])}</h3>
      <p><span class="verb">#{verb.upcase}</span> <span class="path">#{text(path)}</span><br>#{text(operation["description"])}</p>
      #{table(%w[Parameter In Meaning], parameters.map { |each| parameter(resolved(each)) }) if parameters.any?}
      #{body(operation["requestBody"])}
      #{table(%w[Status Answer], answers)}
    HTML
  end

  def body(given)
    given && "<p>Body: #{types(given["content"]).join(" or ")}</p>"
  end

  def types(content) = (content || {}).map { |type, each| "#{type_of(each["schema"])} (#{text(type)})" }

  def resolved(given) = given["$ref"] ? @api.dig(*given["$ref"].delete_prefix("#/").split("/")) : given

  def parameter(given)
    name = "<code>#{text(given["name"])}</code>#{" (optional)" unless given["required"]}"
    [name, text(given["in"]), text(given["description"])]
  end

  def answered(given)
    answer = resolved(given)
    [text(answer["description"]), *types(answer["content"])].join(" ")
  end

  def type_of(schema)
    return link(schema["$ref"].split("/").last) if schema["$ref"]
    return "array of #{type_of(schema["items"])}" if schema["type"] == "array"
    return Array(schema["allOf"]).map { |each| type_of(each) }.join(" and ") if schema["allOf"]

    [text(schema["type"]), schema["format"] && text(schema["format"])].compact.join(", ")
  end

  def all_schemas
    schemas = @api.dig("components", "schemas").sort
    links = schemas.map { |name, _| "#{link(name)}<br>" }.join
    "<h2>Schemas</h2>\n<nav>#{links}</nav>\n#{schemas.map { |name, schema| schema(name, schema) }.join("\n")}"
  end

  def schema(name, schema)
    rows = (schema["properties"] || {}).map { |key, property| row(key, property, schema["required"] || []) }
    <<~HTML
      <h3 id="schema-#{name}">#{name}</h3>
      <p>#{text(schema["description"])}#{values(schema["enum"])}</p>
      #{table(%w[Field Type Meaning], rows) if rows.any?}
    HTML
  end

  def values(enum)
    " One of: #{enum.map { |each| "<code>#{text(each)}</code>" }.join(", ")}." if enum
  end

  def row(key, property, required)
    notes = [sentence(text(property["description"]))]
    notes << "One of: #{property["enum"].map { |each| text(each) }.join(", ")}." if property["enum"]
    notes << "May be null." if property["nullable"]
    field = "<code>#{text(key)}</code>#{" (optional)" unless required.include?(key)}"
    [field, type_of(property), notes.reject(&:empty?).join(" ")]
  end

  def sentence(text) = text.empty? || text.end_with?(".", "?", "!") ? text : "#{text}."

  def table(heads, rows)
    lines = [heads.map { |each| "<th>#{each}</th>" }, *rows.map { |row| row.map { |cell| "<td>#{cell}</td>" } }]
    "<table>#{lines.map { |cells| "<tr>#{cells.join}</tr>" }.join("\n")}</table>"
  end
end
