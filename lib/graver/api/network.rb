# frozen_string_literal: true

require "ipaddr"

module Graver
  module API
    # Where the server can be reached from the network. address: of this machine there, or nil; https: whether the
    # connection is encrypted; fingerprint: of its certificate, or nil
    Network =
      Core::Value.define(:address, :port, :https, :fingerprint) do
        def listening? = !address.nil?
        def root = "#{https ? "https" : "http"}://#{address.include?(":") ? "[#{address}]" : address}:#{port}/"

        # Whether the address is this machine's own.
        def self.loopback?(address)
          IPAddr.new(address.to_s).loopback?
        rescue IPAddr::Error
          false
        end
      end
    # This machine alone.
    Network::NONE = Network.new(address: nil, port: nil, https: false, fingerprint: nil)
  end
end
