# frozen_string_literal: true

require "ipaddr"

module Graver
  module API
    # Where the server can be reached beside this machine. address: of this machine in its network, or nil; https: is
    # the way encrypted? fingerprint: of its certificate, or nil
    Network =
      Core::Value.define(:address, :port, :https, :fingerprint) do
        def listening? = !address.nil?
        def root = "#{https ? "https" : "http"}://#{address.include?(":") ? "[#{address}]" : address}:#{port}/"

        # Does a request come from this machine itself?
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
