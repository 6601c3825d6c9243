# frozen_string_literal: true

module Graver
  module Devices
    # What a device on the bench owes to Graver. A real one (a caliper with a data line, a diagnostic reader) is one new
    # class under this folder with these methods, and one line where the bench is put together (boot.rb).
    #
    # - `read(quantity)` blocks until the device has sent, and returns a Sample with the figures exactly as the device
    #   showed them; it raises DeviceFailed when nothing comes: not connected, line dropped, nothing pressed in time.
    # - `connect` and `disconnect` may be called in any state and never raise because of the state.
    # - `quantities` lists what it can send: "length", "odometer", "fluid_level", "torque", "angle".
    # - `method` is the way of reading a length it serves ("caliper", "micrometer", ...), nil when it sends none.
    # - `settings` and `change` exist for devices that can be adjusted from here; a plain device has none.
    # - `touch` tells a simulated device where it is held, a wrench what it is set to, and nothing of what is known
    # there; a real one ignores it.
    # - `actions` lists what it can do to the vehicle ("brake_open", "brake_close", "pump_bleed", "counter_reset");
    # `act`
    #   blocks until the vehicle has taken it and returns a Done; it raises DeviceFailed when the vehicle refuses.
    # - `simulated?` marks every sample: such a value never counts on a vehicle that is not a sample itself.
    #
    # spec/contract/device.rb holds every implementation to this.
    class Device
      # value: text as shown; unit: a LENGTH or TORQUE unit, "°", "km" or "mi", or "fraction" between MIN and MAX;
      # simulated: made up
      Sample =
        Core::Value.define(:quantity, :value, :unit, :simulated) { def initialize(simulated: false, **rest) = super }
      # The result of an action, with the seconds until it is announced
      Done = Core::Value.define(:action, :seconds, :simulated)
      # One knob: value between least and most, in unit.
      Setting = Core::Value.define(:id, :label, :unit, :value, :least, :most)

      attr_reader :id, :label

      def initialize(id:, label:)
        @id = id
        @label = label
      end

      def quantities = owed(:quantities)
      def method = nil
      def connected? = owed(:connected?)
      def connect = owed(:connect)
      def disconnect = owed(:disconnect)
      # Raises DeviceFailed.
      def read(_quantity) = owed(:read)
      def actions = []
      # Raises DeviceFailed.
      def act(_action) = raise(DeviceFailed, Message.of("devices.does_nothing", device: label))
      def simulated? = false
      def settings = []
      def change(_values) = raise(InvalidEntry.of("settings", "unknown_setting", Message.of("faults.no_setting")))
      def touch(**) = nil

      private

      def owed(name) = raise(NotImplementedError, "#{self.class} owes #{name}")
    end
  end
end
