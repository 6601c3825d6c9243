# frozen_string_literal: true

module Graver
  module Core
    module Wear
      # Where in a log without "new pads" a new set must have gone on: material only goes, so a position that is thicker
      # than before by more than the readings' errors was renewed, or read wrongly.
      module LikelyRenewals
        # key: of the service; read: { position => Measurement::Thickness }; renewed: a new set is noted there
        Service = Value.define(:key, :read, :renewed)
        # before_mm, now_mm: of the position that grew most; sure: nothing else explains it
        Found = Value.define(:key, :before_mm, :now_mm, :sure)

        module_function

        # services: [Service] of one part of one axle, in order; rules: { coverage:, least_mm:, sure_mm: } -> [Found].
        # The block is given a Found and says whether a set went on there; without it what is sure did.
        def call(services, rules)
          last = {}
          services.filter_map do |service|
            last = {} if service.renewed
            found = found(service, last, rules)
            last = {} if found && (block_given? ? yield(found) : found.sure)
            last = last.merge(service.read)
            found
          end
        end

        def found(service, last, rules)
          grown = service.read.select { |position, now| last.key?(position) && grown?(last[position], now, rules) }
          return if grown.empty?

          position, now = grown.max_by { |at, thickness| thickness.value_mm - last[at].value_mm }
          before = last[position]
          sure = grown.length > 1 || now.value_mm - before.value_mm >= rules.fetch(:sure_mm)
          Found.new(key: service.key, before_mm: before.value_mm, now_mm: now.value_mm, sure:)
        end

        def grown?(before, now, rules)
          error = rules.fetch(:coverage) * Math.hypot(before.standard_uncertainty_mm, now.standard_uncertainty_mm)
          now.value_mm - before.value_mm > [error, rules.fetch(:least_mm)].max
        end
        private_class_method :found, :grown?
      end
    end
  end
end
