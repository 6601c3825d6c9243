# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # Resolves readiness items, or reopens them: one or several.
      class Resolved < Contract
        MOST = 200

        json do
          optional(:item).filled(:string, max_size?: 120)
          optional(:items).value(:array, min_size?: 1, max_size?: MOST).each(:string, max_size?: 120)
          required(:done).filled(:bool)
        end

        rule(:item, :items) { key(:item).failure(Say::Texts.t("shape.items")) unless values[:item] || values[:items] }
      end
    end
  end
end
