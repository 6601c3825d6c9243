# frozen_string_literal: true

require "json"

module Graver
  module API
    module Routes
      # A person's own table coming in, and the open log going out.
      module Imports
        def self.registered(app)
          app.helpers do
            def imports = Service::Tables::ImportLog.new(context)
            def import = context.store.imports.find(id)

            def import_json(import)
              progress = imports.progress(import)
              state = progress && !progress[:failed] ? "running" : import.state
              fields = import.to_h.slice(:id, :vehicle_id, :name, :result, :recorded_at)
              fields.merge(state:, share: progress && progress[:share], failed: progress && progress[:failed])
            end

            # As the file's mapping is kept: with text keys.
            def mapping = JSON.parse(JSON.generate(payload(Contracts::Mapping).fetch(:mapping)))
          end

          app.post("/vehicles/:id/imports") do
            made = imports.upload(id, params["name"], bytes(Service::Tables::ImportLog::LARGEST_BYTES))
            answer({ **import_json(made), **imports.columns(made) }, 201)
          end

          app.get("/vehicles/:id/imports") { answer({ imports: context.store.imports.of_vehicle(context.store.vehicles.find(id).id).map { |each| import_json(each) } }) }
          app.get("/imports/:id") { answer(import_json(import)) }
          app.post("/imports/:id/trial") { answer(imports.dry_run(import, mapping)) }

          app.post("/imports/:id/run") do
            imports.start(import, mapping)
            answer(import_json(import), 202)
          end

          app.post("/imports/:id/undo") do
            imports.undo(import)
            answer(import_json(import))
          end

          app.get("/vehicles/:id/log.csv") do
            name = context.store.vehicles.find(id).name.gsub(/[^\p{Alnum}]+/, "-")
            text = Service::Tables::ExportLog.new(context).call(id)
            content_type "text/csv", charset: "utf-8"
            headers "Content-Disposition" => "attachment; filename*=UTF-8''#{URI.encode_www_form_component("#{name}-log.csv")}"
            text
          end
        end
      end
    end
  end
end
