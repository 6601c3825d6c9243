# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # The work on each axle: { axles: { "1": ["pads", "clips"] }, reasons: { "1": "..." } }.
      class JobScope < Contract
        MOST_AXLES = 6
        MOST_WORKS = 20

        json do
          required(:axles).value(:hash)
          optional(:reasons).value(:hash)
        end

        rule(:axles) do
          fine =
            value.length <= MOST_AXLES &&
              value.all? do |id, works|
                id.to_s.match?(/\A\d{1,15}\z/) && works.is_a?(Array) && works.length <= MOST_WORKS && works.all?(String)
              end
          key.failure(Say::Texts.t("shape.works")) unless fine
        end

        rule(:reasons) do
          fine =
            value.nil? ||
              (
                value.length <= MOST_AXLES &&
                  value.all? { |_, text| text.nil? || (text.is_a?(String) && text.length <= 500) }
              )
          key.failure(Say::Texts.t("shape.reasons")) unless fine
        end
      end
    end
  end
end
