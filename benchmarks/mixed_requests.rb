# frozen_string_literal: true

require "net/http"
require "tmpdir"
require_relative "clock"
require_relative "server"

module Benchmarks
  # Pages, changes, downloads and refusals in turn from one client on one connection, against a real server: every
  # answer must be whole.
  class MixedRequests
    REQUESTS = 50_000
    JSON_TYPE = { "Content-Type" => "application/json" }.freeze

    def initialize(requests: REQUESTS)
      @requests = requests
    end

    def print_to(out)
      serve do |port|
        broken = Hash.new(0)
        taken = Clock.seconds { ask_all(port, broken) }
        out.puts format(
                   "%d mixed requests, %.2f ms each: %d broken %s (aim 0)",
                   @requests,
                   taken / @requests * 1000,
                   broken.values.sum,
                   broken
                 )
      end
    end

    private

    def ask_all(port, broken)
      client = connected(port)
      @requests.times do |at|
        answer = client.request(request(at))
        broken["status #{answer.code}"] += 1 if answer.code.to_i >= 500
      rescue Net::HTTPBadResponse, EOFError, SystemCallError, Net::ReadTimeout => e
        broken[e.class.name] += 1
        client = connected(port)
      end
    end

    def connected(port) = Net::HTTP.new("127.0.0.1", port).tap { |http| http.keep_alive_timeout = 30 }.start

    def request(at)
      case at % 6
      when 0
        Net::HTTP::Get.new("/api/v1/garage")
      when 1
        Net::HTTP::Patch.new("/api/v1/vehicles/1", JSON_TYPE).tap { |patch| patch.body = %({"name":"Mule #{at}"}) }
      when 2
        Net::HTTP::Get.new("/api/v1/vehicles/2/log.csv")
      when 3
        Net::HTTP::Patch.new("/api/v1/vehicles/1", JSON_TYPE).tap { |patch| patch.body = "{" }
      when 4
        Net::HTTP::Get.new("/")
      else
        Net::HTTP::Get.new("/api/v1/catalogue")
      end
    end

    def serve
      Dir.mktmpdir do |folder|
        path = File.join(folder, "demo.sqlite3")
        system("bin/graver", "fill-demo", path, out: File::NULL) || raise("the demo cannot be filled")
        Server.on(path) { |port, _| yield port }
      end
    end
  end
end
