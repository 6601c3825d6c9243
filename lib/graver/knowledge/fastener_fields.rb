# frozen_string_literal: true

module Graver
  module Knowledge
    # The brake data fields of every fastener: the same few things are asked of each.
    module FastenerFields
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
          "where" => where(fastener),
          "key" => "#{fastener.id}.#{template["key"]}",
          "label" => "#{fastener.label}: #{template["label"]}",
          "group" => "fasteners",
          "fastener" => fastener.id,
          "copy" => fastener.copy,
          "needed_for" => needed ? ["job"] : []
        }
      end

      def where(fastener)
        calipers = fastener.per_corner.empty? ? {} : { "calipers" => fastener.per_corner.keys }
        { **calipers, **(fastener.where || {}) }
      end
    end
  end
end
