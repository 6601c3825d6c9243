# frozen_string_literal: true

module Graver
  module Knowledge
    # The brake data fields of every fastener: the same few things are asked of each.
    module FastenerFields
      # What decides whether an axle has the fastener at all.
      PLACES = %w[vehicles retentions hose_fittings].freeze

      module_function

      # templates: `fastener_fields` of brake_data.yml; fasteners: fasteners.yml -> fields like the others
      def call(templates, fasteners)
        fasteners.flat_map { |fastener| templates.map { |template| field(template, fastener) } }
      end

      def field(template, fastener)
        needed = template["needed"] && fastener["pad_job"]
        {
          **template.except("key", "label", "needed"),
          **fastener.slice(*PLACES),
          **calipers(fastener),
          "key" => "#{fastener["id"]}.#{template["key"]}",
          "label" => "#{fastener["label"]}: #{template["label"]}",
          "group" => "fasteners",
          "fastener" => fastener["id"],
          "copy" => fastener["copy"] || "never",
          "needed_for" => needed ? ["job"] : []
        }
      end

      def calipers(fastener) = fastener["per_corner"].empty? ? {} : { "calipers" => fastener["per_corner"].keys }
    end
  end
end
