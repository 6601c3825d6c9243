# frozen_string_literal: true

require "socket"

module Benchmarks
  # A separate server on a household's file, with the settings bin/serve starts it with.
  module Server
    module_function

    # Yields its port and process.
    def on(path, settings = {})
      port = TCPServer.open("127.0.0.1", 0) { |free| free.addr[1] }
      server =
        spawn(
          { "GRAVER_DATABASE" => path, "GRAVER_PORT" => port.to_s, **settings },
          "bash",
          "-c",
          ". bin/environment; . bin/server-environment; exec bundle exec puma --silent -C config/puma.rb config.ru"
        )
      wait_for(port)
      yield port, server
    ensure
      Process.kill(:TERM, server) && Process.wait(server) if server
    end

    def wait_for(port)
      100.times do
        return TCPSocket.new("127.0.0.1", port).close
      rescue SystemCallError
        sleep 0.2
      end
    end
  end
end
