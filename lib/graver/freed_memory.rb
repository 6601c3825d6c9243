# frozen_string_literal: true

require "fiddle"

module Graver
  # Gives memory back that was freed. A forecast takes and frees megabytes of number arrays, and glibc keeps the pages
  # between what stays: after a day the process would be twice its size. Does nothing where the C library has no
  # malloc_trim.
  class FreedMemory
    # Growth since the last time that is worth a look, bytes.
    WORTH = 16 << 20
    PAGE = 4096

    # resident: callable -> bytes in memory now, or nil where the system does not say
    def initialize(resident: method(:resident))
      @resident = resident
      @trim = malloc_trim
      @least = 0
    end

    # -> whether there was enough to give back
    def give_back
      now = @resident.call or return false
      return false if @trim.nil? || now < @least + WORTH

      @trim.call(0)
      @least = @resident.call
      true
    end

    private

    def malloc_trim
      Fiddle::Function.new(Fiddle.dlopen(nil)["malloc_trim"], [Fiddle::TYPE_SIZE_T], Fiddle::TYPE_INT)
    rescue Fiddle::DLError
      nil
    end

    def resident
      File.read("/proc/self/statm").split[1].to_i * PAGE
    rescue SystemCallError
      nil
    end
  end
end
