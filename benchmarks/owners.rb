# frozen_string_literal: true

require_relative "simulated_axle"
require_relative "owner_rules"

module Benchmarks
  # What following Graver is worth: owners drive for eight years, inspect when told to, and renew the pads when told to.
  # The same owners, in the same worlds, follow rules used by hand. Counted per 100,000 km: inspections, km below the
  # owner's limit, below 1.5 mm and on bare metal; per set, the millimetres thrown away.
  class Owners
    YEARS = 8
    OWNERS = 16
    GRAVE_MM = 1.5
    HEAD = "%-28s %11s %9s %9s %9s %8s %6s"
    LINE = "%-28s %11.1f %9.0f %9.1f %9.1f %8.2f %6d"
    # Ordinary wear; a pin seizes in one life of twelve.
    LIFE = Regime.of(:ordinary, drifts: 0.3, seized: 1 / 12.0)

    Count = Struct.new(:km, :inspections, :below, :grave, :bare, :thrown, :sets, keyword_init: true)

    def initialize(owners: OWNERS, worlds: World::ALL)
      @owners = owners
      @worlds = worlds
    end

    def print_to(out)
      out.puts format(HEAD, "per 100,000 km", "inspections", "below km", "1.5 mm", "bare km", "mm/set", "sets")
      OwnerRules.all.each { |name, rule| out.puts line(name, counts(rule)) }
    end

    # rule: what OwnerRules holds -> Count, of all owners together
    def counts(rule)
      each = @worlds.product((1..@owners).to_a).map { |world, seed| Driven.new(world, seed, rule).call }
      Count.new(**Count.members.to_h { |member| [member, each.sum { |count| count[member] }] })
    end

    def line(name, count)
      per = 100_000.0 / count.km
      thrown = count.sets.zero? ? 0.0 : count.thrown / count.sets
      format(
        LINE,
        name,
        count.inspections * per,
        count.below * per,
        count.grave * per,
        count.bare * per,
        thrown,
        count.sets
      )
    end

    # One owner's years.
    class Driven
      STEP_KM = 50.0
      METHOD = "caliper"
      MOST_DAYS = 365

      def initialize(world, seed, rule)
        @world = world
        @rule = rule
        @chance = Chance.new((seed * 131) + 5)
        @driven = DrivenDays.new(world.driving, seed)
        @axle = SimulatedAxle.new(world, LIFE, Chance.new((seed * 97) + 11), @driven, worn_to_mm: 0.0)
        @count = Count.new(km: 0.0, inspections: 0, below: 0.0, grave: 0.0, bare: 0.0, thrown: 0.0, sets: 0)
        @log = OwnerLog.new(@axle.limit_mm, @axle.new_mm)
      end

      # -> Count
      def call
        @km = 0.0
        @end_day = @driven.on(0.0) + (YEARS * 365)
        renew
        step until @driven.on(@km) >= @end_day
        @count.km = @km
        @count
      end

      private

      # Drives to what the rule wants next, and does it.
      def step
        plan = @rule.call(@log, @km, @driven, @life)
        next_km = [plan.fetch(:km), furthest].min
        drive(next_km)
        return if @driven.on(@km) >= @end_day
        return renew(thrown: true) if plan[:job] && next_km >= plan.fetch(:km)

        inspect
        renew(thrown: true) if @log.thinnest_mm <= @axle.limit_mm
      end

      # A year on, or the end of the years.
      def furthest
        day = [@driven.on(@km) + MOST_DAYS, @end_day].min
        at = @km
        at += STEP_KM while @driven.on(at) < day
        at
      end

      def drive(until_km)
        while @km < until_km
          @km += STEP_KM
          mm = thinnest
          @count.below += STEP_KM if mm < @axle.limit_mm
          @count.grave += STEP_KM if mm < GRAVE_MM
          @count.bare += STEP_KM if mm <= 0.0
        end
      end

      def thinnest = @axle.components.map { |name| @life.thickness(name, @km) }.min

      def renew(thrown: false)
        if thrown
          @count.thrown += [thinnest - @axle.limit_mm, 0.0].max
          @count.sets += 1
        end
        @life = @axle.new_set(@km)
        @log.fit(@driven.on(@km), @km)
      end

      def inspect
        @count.inspections += 1
        sd = @world.errors_mm.fetch(METHOD).fetch(:pad)
        shared = sd * Math.sqrt(@world.day_share) * @chance.normal
        read =
          @axle.components.to_h do |name|
            own = sd * Math.sqrt(1 - @world.day_share) * @chance.normal
            [name, [@life.thickness(name, @km) + shared + own, 0.0].max.round(2)]
          end
        @log.read(@driven.on(@km), @km, read)
      end
    end
  end
end
