# frozen_string_literal: true

module Graver
  module Knowledge
    # The brake data fields of every fastener: the same few things are asked of each.
    module FastenerFields
      # What decides whether an axle has the fastener at all.
      PLACES = %i[vehicles retentions hose_fittings].freeze

      module_function

      # templates: `fastener_fields` of brake_data.yml; fasteners: [Core::Planning::Fastener] -> fields like the
      # others, as written
      def call(templates, fasteners)
        fasteners.flat_map { |fastener| templates.map { |template| field(template, fastener) } }
      end

      def field(template, fastener)
        needed = template["needed"] && fastener.pad_job
        {
          **template.except("key", "label", "needed"),
          **fastener.to_h.slice(*PLACES).transform_keys(&:to_s),
          **calipers(fastener),
          "key" => "#{fastener.id}.#{template["key"]}",
          "label" => "#{fastener.label}: #{template["label"]}",
          "group" => "fasteners",
          "fastener" => fastener.id,
          "copy" => fastener.copy,
          "needed_for" => needed ? ["job"] : []
        }
      end

      def calipers(fastener) = fastener.per_corner.empty? ? {} : { "calipers" => fastener.per_corner.keys }
    end
  end
end
