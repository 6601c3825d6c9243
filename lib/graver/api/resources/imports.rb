# frozen_string_literal: true

module Graver
  module API
    module Resources
      # Imports of the owner's table, and exports of the open log.
      class Imports < Resource
        post "/vehicles/:id/imports", :upload_table, 201
        get "/vehicles/:id/imports", :imports
        get "/imports/:id", :import
        post "/imports/:id/trial", :try_import
        post "/imports/:id/run", :run_import, 202
        post "/imports/:id/undo", :undo_import
        get "/vehicles/:id/log.csv", :export_log
        repeatable :upload_table, :try_import, :run_import

        def upload_table
          made = importing.upload(id, params["name"], @exchange.bytes(Service::Tables::ImportLog::LARGEST_BYTES))
          { **shown(made), **importing.columns(made) }
        end

        def imports = { imports: importing.of_vehicle(id).map { |each| shown(each) } }
        def import = shown(on_file)
        def try_import = importing.dry_run(on_file, mapping)

        def run_import
          importing.start(on_file, mapping)
          import
        end

        def undo_import
          importing.undo(on_file)
          import
        end

        def export_log
          exported = Service::Tables::ExportLog.new(context).call(id)
          Download.new(
            type: "text/csv",
            body: exported.text,
            disposition: "attachment; filename*=UTF-8''#{URI.encode_www_form_component(exported.name)}"
          )
        end

        private

        def importing = @importing ||= Service::Tables::ImportLog.new(context)
        def on_file = importing.find(id)
        def shown(import) = Serializers::Imports.call(import, importing.progress(import))
        # The mapping as stored: with text keys.
        def mapping = JSON.parse(JSON.generate(payload(Contracts::Mapping).fetch(:mapping)))
      end
    end
  end
end
