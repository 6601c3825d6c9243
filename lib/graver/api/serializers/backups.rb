# frozen_string_literal: true

module Graver
  module API
    module Serializers
      # A copy of the household's file.
      module Backups
        module_function

        def call(copy)
          {
            name: copy.name,
            made_at: copy.at.utc.iso8601,
            occasion: Say::Texts.t("backups.#{copy.occasion.tr("-", "_")}"),
            bytes: copy.bytes,
            archive: copy.archive?
          }
        end
      end
    end
  end
end
