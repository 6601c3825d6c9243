# frozen_string_literal: true

module Graver
  module API
    module Resources
      # The household in the open format, out and in. Only on this machine itself.
      class OpenFormat < Resource
        LARGEST_BYTES = 2 * 1024 * 1024 * 1024
        get "/household.json", :export_household
        get "/household.zip", :export_package
        post "/household-imports", :import_household
        repeatable :import_household

        def export_household = here { download("application/json", exchange.json, "json") }

        def export_package = here { download("application/zip", exchange.package, "zip") }

        def import_household
          here do
            found =
              exchange.read(params["mode"].to_s, trial: params["trial"] == "yes") do |out|
                @exchange.each_part(LARGEST_BYTES) { |part| out.write(part) }
              end
            Serializers::HouseholdImport.call(found)
          end
        end

        private

        def exchange = Service::Tables::Exchange.new(context)
        def download(type, body, ending)
          Download.new(type:, body:, disposition: %(attachment; filename="graver-#{context.today}.#{ending}"))
        end
      end
    end
  end
end
