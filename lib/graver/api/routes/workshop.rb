# frozen_string_literal: true

module Graver
  module API
    module Routes
      # Measuring tools with their zero checks, and the devices on the bench.
      module Workshop
        def self.registered(app)
          app.helpers do
            def instruments = Service::Axles::Instruments.new(context)
            def wrenches = Service::Workshop::TorqueWrenches.new(context)

            # With a crow-foot or an offset extension of so many mm in line with the handle.
            def asked_extension_mm
              mm = Core::Quantity::EnteredNumber.parse(params["extension_mm"].to_s).value.to_f
              mm.between?(0, 500) ? mm : raise(InvalidEntry.of("", "out_of_range", "an extension lies between 0 and 500 mm"))
            rescue InvalidEntry => e
              raise e.under("extension_mm")
            end

            # Of every fastener of the axle whose torque is on file.
            def torque_settings(file, extension_mm)
              knowledge.fasteners.filter_map do |fastener|
                known = file.planning_data["#{fastener["id"]}.torque"] or next
                { fastener: fastener["id"], wrench: Serializers::TorqueWrenches.choice(wrenches.choose(known[:torque], extension_mm:)) }
              end
            end

            def instrument_json(instrument) = Serializers::Instruments.new(knowledge, instruments, context.store.vehicles).call(instrument)
          end

          app.get("/instruments") do
            kinds = knowledge.measurement.fetch("methods").select { |_, method| method.key?("instrument") }
            answer({ kinds: kinds.map { |id, kind| { id:, label: kind["label"], resolution_mm: kind["resolution_mm"], uncertainty_mm: kind["instrument"] } },
                     instruments: context.store.instruments.all.map { |instrument| instrument_json(instrument) } })
          end

          app.post("/instruments") { answer(instrument_json(instruments.add(payload(Contracts::NewInstrument))), 201) }
          app.patch("/instruments/:id") { answer(instrument_json(instruments.change(id, payload(Contracts::InstrumentChange)))) }
          app.post("/instruments/:id/zero-checks") { answer(instrument_json(instruments.check(id, payload(Contracts::ZeroCheck))), 201) }

          # Takes the newest check's offset off the readings it concerns.
          app.post("/instruments/:id/corrections") do
            corrected = instruments.apply(id)
            answer({ corrected:, instrument: instrument_json(context.store.instruments.find(id)) }, 201)
          end

          app.get("/torque-wrenches") { answer({ wrenches: context.store.torque_wrenches.all.map { |wrench| Serializers::TorqueWrenches.row(wrench) } }) }
          app.post("/torque-wrenches") { answer(Serializers::TorqueWrenches.row(wrenches.add(payload(Contracts::NewTorqueWrench))), 201) }
          app.patch("/torque-wrenches/:id") { answer(Serializers::TorqueWrenches.row(wrenches.change(id, payload(Contracts::TorqueWrenchChange)))) }

          app.get("/axles/:id/torque-settings") { answer({ settings: torque_settings(file, asked_extension_mm) }) }

          app.get("/devices") { answer(Serializers::Devices.all(context.devices, Service::Planning::PartOffers.open?(context))) }

          app.patch("/devices/:id") do
            # The knobs are each device's own, so their names are not known to the contract.
            content = parsed
            given = Contracts::DeviceChange.check(content)
            context.devices.use(params["id"]) do |device|
              device.change(content["settings"]) if given[:settings]
              if given.key?(:connected)
                given[:connected] ? device.connect : device.disconnect
              end
            end
            answer(Serializers::Devices.one(context.devices.find(params["id"])))
          end

          app.post("/devices/:id/readings") { answer(Service::Measuring::DeviceReading.new(context).call(params["id"], payload(Contracts::DeviceReading)).to_h, 201) }
        end
      end
    end
  end
end
