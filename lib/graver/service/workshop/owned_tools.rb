# frozen_string_literal: true

module Graver
  module Service
    module Workshop
      # Which tools the household owns.
      class OwnedTools
        KEY = "tools"

        def initialize(context)
          @context = context
        end

        # Ids as in knowledge/tools.yml: tools marked as owned, and the measuring tools of the Workshop.
        def ids = said | measuring

        # Raises InvalidEntry for an unknown tool.
        def own(id, owned)
          unless @context.knowledge.tool(id)
            raise InvalidEntry.of("tool", "unknown_tool", Message.of("faults.unknown_tool"))
          end

          @context.store.transaction { @context.store.preferences.set(KEY, owned ? said | [id] : said - [id]) }
          ids
        end

        # Those that are there as measuring tools of the Workshop.
        def measuring
          methods = @context.store.instruments.all.reject(&:retired).map(&:method)
          @context.knowledge.tools.select { |tool| tool.instruments.intersect?(methods) }.map(&:id)
        end

        private

        def said = @context.store.preferences.all[KEY] || []
      end
    end
  end
end
