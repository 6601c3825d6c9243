# frozen_string_literal: true

require "net/http"
require "open3"
require "socket"

module Graver
  module CLI
    # graver doctor: looks at everything Graver needs on this machine, also while it runs, and says for each fault what
    # to do. Changes nothing.
    class DoctorCommand
      JPEGTRAN = "jpegtran"
      PATIENCE_SECONDS = 3

      def initialize(out: $stdout, root: Boot::ROOT)
        @out = out
        @root = root
      end

      # Exit status: 0 all well; 1 something is wrong.
      def call(_arguments)
        found = [*set_up, *Boot.examination(free_bytes: method(:free_bytes)).call, port]
        found.each { |each| tell(each.what, each.fault) }
        faults = found.count(&:fault)
        @out.puts Say::Texts.t(faults.zero? ? "doctor.well" : "doctor.faults", count: faults)
        faults.zero? ? 0 : 1
      end

      private

      Found = Struct.new(:what, :fault)
      private_constant :Found

      def tell(what, fault) = @out.puts(fault ? "✗ #{what}: #{fault}" : "✓ #{what}")
      def found(what, key, **tokens)
        Found.new(Message.of("doctor.#{what}", **tokens), key && Message.of("doctor.#{key}", **tokens))
      end

      def set_up
        [
          found("ruby", nil, version: RUBY_VERSION),
          found("interface", interface),
          found("jpegtran", on_path?(JPEGTRAN) ? nil : "no_jpegtran")
        ]
      end

      # As bin/setup tells whether it has to build.
      def interface
        built = File.join(@root, "web/dist/index.html")
        return "not_built" unless File.file?(built)

        sources = Dir.glob(File.join(@root, "web/src/**/*")).select { |file| File.file?(file) }
        "built_before" if sources.any? { |file| File.mtime(file) > File.mtime(built) }
      end

      def on_path?(program)
        ENV.fetch("PATH", "").split(":").any? { |folder| File.executable?(File.join(folder, program)) }
      end

      # Free for Graver, or Graver's own.
      def port
        number = Boot.port
        TCPServer.new("127.0.0.1", number).close
        found("port", nil, port: number)
      rescue Errno::EADDRINUSE
        found(*(graver?(number) ? ["running", nil] : %w[port port_taken]), port: number)
      rescue SystemCallError
        found("port", "port_refused", port: number)
      end

      def graver?(number)
        http = Net::HTTP.new("127.0.0.1", number, nil)
        http.open_timeout = http.read_timeout = PATIENCE_SECONDS
        http.get("/api/v1/health").body.to_s.include?('"status"')
      rescue SystemCallError, IOError, Timeout::Error, Net::ProtocolError
        false
      end

      # POSIX df, in blocks of 1024 bytes.
      def free_bytes(folder)
        out, status = Open3.capture2("df", "-Pk", folder)
        status.success? ? out.lines.last.split[-3].to_i * 1024 : nil
      rescue SystemCallError
        nil
      end
    end
  end
end
