# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # Where a value comes from: a column, or the same for every row.
      WHERE =
        Dry::Schema.JSON do
          optional(:column).filled(:integer)
          optional(:is).filled(:string, max_size?: 40)
        end

      # What the columns of a table mean.
      class Mapping < Contract
        json do
          required(:mapping).hash do
            required(:date).hash do
              required(:column).maybe(:integer)
              required(:format).filled(:string, max_size?: 10)
            end
            required(:odometer).hash do
              required(:column).maybe(:integer)
              optional(:unit).maybe(:string, included_in?: %w[km mi])
              optional(:plain).maybe(:bool)
            end
            optional(:odometer_unit).maybe { hash(WHERE) }
            optional(:note).maybe { hash(WHERE) }
            optional(:renewals)
              .value(:array, max_size?: 300)
              .each do
                hash do
                  required(:line).filled(:integer)
                  required(:new).filled(:bool)
                end
              end
            required(:readings)
              .value(:array, max_size?: 200)
              .each do
                hash do
                  required(:column).maybe(:integer)
                  Graver::Service::Tables::ImportLog::FIELDS.each do |field|
                    optional(field.to_sym).maybe { hash(WHERE) }
                  end
                end
              end
          end
        end
      end
    end
  end
end
