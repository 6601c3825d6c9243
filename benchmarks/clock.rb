# frozen_string_literal: true

module Benchmarks
  # Seconds a block takes, by a monotonic clock; and the memory of a process.
  module Clock
    module_function

    def seconds
      started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
      yield
      Process.clock_gettime(Process::CLOCK_MONOTONIC) - started
    end

    # field: VmRSS (now) or VmHWM (at most)
    def memory_mb(process = "self", field = "VmRSS")
      File.read("/proc/#{process}/status")[/#{field}:\s+(\d+)/, 1].to_i / 1024
    end
  end
end
