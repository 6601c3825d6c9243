# frozen_string_literal: true

module Benchmarks
  # What happens to the axle of a simulated log, and how it is written down. Everything not named is usual: one rate,
  # every service read by caliper and written down.
  #
  # - part: "pad" or "rotor"
  # - sets_before: how many sets went before, and were read
  # - services: how often the set that is on was read, or nil: as the world has it
  # - ways: how it is read, one of them at each service
  # - drifts, jump, seized, gross: chance that the rate drifts, that it jumps once, that one pad speeds up, that
  #   everything read at one service is off
  # - towing: chance that everything wears two to three times as fast for a seventh of a life
  # - season: how much faster than usual everything wears in midwinter (share)
  # - quickening: how much faster a worn-out pad wears than a new one (share)
  # - heavy: chance that an error is three times as large as usual
  # - slip: chance that one reading at a service is written in another unit, or with a digit off
  # - unlogged: the last "new pads" isn't in the log
  # - claimed: the new thickness on file is wrong by one to two millimetres
  # - lip_mm: range by which a caliper over a rotor's lip reads too thick
  # - pace: how many times as fast as usual everything wears (an electric car)
  Regime =
    Struct.new(
      :name,
      :part,
      :sets_before,
      :services,
      :ways,
      :drifts,
      :jump,
      :seized,
      :gross,
      :towing,
      :season,
      :quickening,
      :heavy,
      :slip,
      :unlogged,
      :claimed,
      :lip_mm,
      :pace,
      keyword_init: true
    )
  class Regime
    USUAL = {
      part: "pad",
      sets_before: 0..0,
      services: nil,
      ways: %w[caliper],
      drifts: 0.0,
      jump: 0.0,
      seized: 0.0,
      gross: 0.0,
      towing: 0.0,
      season: 0.0,
      quickening: 0.0,
      heavy: 0.0,
      slip: 0.0,
      unlogged: false,
      claimed: false,
      lip_mm: nil,
      pace: 1.0
    }.freeze
    EVERY_WAY = %w[caliper rule visual percent gauge].freeze
    MOSTLY_CALIPER = %w[caliper caliper caliper rule visual].freeze

    def self.of(name, **differs) = new(name:, **USUAL, **differs)

    # The first ten are those of the earlier tables.
    ALL = [
      of(:steady),
      of(:mixed, ways: EVERY_WAY, drifts: 1.0),
      of(:drifting, drifts: 1.0),
      of(:jump, jump: 1.0),
      of(:seized, seized: 1.0),
      of(:gross, gross: 1.0),
      of(:single, services: 1..1, drifts: 1.0),
      of(:earlier, sets_before: 1..2, drifts: 1.0),
      of(:rotors, part: "rotor", ways: %w[micrometer]),
      of(:calipered, part: "rotor"),
      # As garages see them: mostly nothing happens.
      of(:ordinary, ways: MOSTLY_CALIPER, sets_before: 0..1, drifts: 0.4, jump: 0.12, seized: 0.08, gross: 0.08),
      of(:fresh, sets_before: 2..3, services: 0..1, drifts: 0.4),
      of(:glances, ways: %w[visual], services: 1..3),
      of(:unlogged, sets_before: 1..1, unlogged: true),
      of(:claimed, claimed: true),
      of(:towing, towing: 1.0),
      of(:season, season: 0.6),
      of(:quickening, quickening: 0.8),
      of(:heavy, heavy: 0.15),
      of(:slips, slip: 0.2),
      of(:lip, part: "rotor", lip_mm: 0.1..0.6),
      of(:electric, pace: 0.25)
    ].freeze

    def self.named(name) = ALL.find { |regime| regime.name == name }

    def rotors? = part == "rotor"
    # Its number in the list, so that each has draws of its own.
    def number = ALL.index { |other| other.name == name }
    # The same happening, with everything written down.
    def logged = Regime.new(**to_h, unlogged: false)
  end
end
