# frozen_string_literal: true

module Graver
  module API
    module Resources
      # Measuring tools with their zero checks, torque wrenches, and devices.
      class Workshop < Resource
        get "/instruments", :instruments
        post "/instruments", :add_instrument, 201
        patch "/instruments/:id", :change_instrument
        post "/instruments/:id/zero-checks", :check_zero, 201
        delete "/instruments/:id/zero-checks/:check", :withdraw_zero_check
        post "/instruments/:id/corrections", :correct_zero, 201
        get "/torque-wrenches", :torque_wrenches
        post "/torque-wrenches", :add_torque_wrench, 201
        patch "/torque-wrenches/:id", :change_torque_wrench
        get "/devices", :devices
        patch "/devices/:id", :change_device
        post "/devices/:id/readings", :read_device, 201
        repeatable :read_device

        def instruments
          kinds = knowledge.measurement.fetch("methods").select { |_, method| method.key?("instrument") }
          {
            kinds:
              kinds.map do |id, kind|
                { id:, label: kind["label"], resolution_mm: kind["resolution_mm"], uncertainty_mm: kind["instrument"] }
              end,
            instruments: workshop.all.map { |instrument| shown(instrument) }
          }
        end

        def add_instrument = shown(workshop.add(payload(Contracts::NewInstrument)))
        def change_instrument
          given = payload(Contracts::InstrumentChange)
          versioned_fields = Service::Workshop::VersionedTool.new(-> { workshop.find(id) })
          shown(if_unchanged(versioned_fields, given) { workshop.change(id, given) })
        end
        def check_zero = shown(zero_checks.check(id, payload(Contracts::ZeroCheck)))
        def withdraw_zero_check = shown(zero_checks.withdraw(id, @exchange.number("check")))

        # Corrects the readings affected by the newest check's offset.
        def correct_zero
          corrected = zero_checks.apply(id)
          { corrected:, instrument: shown(workshop.find(id)) }
        end

        def torque_wrenches = { wrenches: wrenches.all.map { |wrench| Serializers::TorqueWrenches.row(wrench) } }
        def add_torque_wrench = Serializers::TorqueWrenches.row(wrenches.add(payload(Contracts::NewTorqueWrench)))
        def change_torque_wrench
          given = payload(Contracts::TorqueWrenchChange)
          versioned_fields = Service::Workshop::VersionedTool.new(-> { wrenches.find(id) })
          Serializers::TorqueWrenches.row(if_unchanged(versioned_fields, given) { wrenches.change(id, given) })
        end
        def devices = Serializers::Devices.all(context.devices, Service::Jobs::PartOffers.open?(context))

        # Each device has its own knobs, so the contract does not know their names.
        def change_device
          content = @exchange.parsed
          given = Contracts::DeviceChange.check(content)
          settings = given[:settings] && content["settings"]
          Serializers::Devices.one(
            Service::Measuring::DeviceSettings.new(context).change(
              params["id"],
              settings:,
              connected: given[:connected]
            )
          )
        end

        def read_device
          Service::Measuring::DeviceReading.new(context).call(params["id"], payload(Contracts::DeviceReading)).to_h
        end

        private

        def workshop = @workshop ||= Service::Household::Instruments.new(context)
        def wrenches = Service::Workshop::TorqueWrenches.new(context)
        def zero_checks = Service::Workshop::ZeroChecks.new(context)
        def shown(instrument) = Serializers::Instruments.new(knowledge, zero_checks).call(instrument)
      end
    end
  end
end
