# frozen_string_literal: true

module Graver
  module Core
    module Wear
      # What is believed about wear before the first reading. Every figure is in knowledge/wear/ with its source. A
      # "log_sd" is the standard deviation of the natural logarithm of a rate; "per life" means per usable thickness
      # worn.
      #
      # - rate_mm_per_1000km: median rate
      # - rate_log_sd: spread of the rate between vehicles
      # - set_log_sd: spread between sets of one vehicle
      # - deviation_log_sd: spread between the components of one axle
      # - component_log_offset: { "left_inner" => 0.06 } how much faster a position usually wears
      # - axle_log_offset: { "rear" => -0.2 } how much faster such an axle usually wears
      # - axles_alike: correlation of the logarithms of the rates of one vehicle's axles
      # - life_mm: usable thickness of a typical set, the measure of "per life"
      # - increment_mm: how uneven wear is, as the variance of a stretch's wear over its mean
      # - common_increment: share of that unevenness that all components of an axle have in common
      # - errors: [{ share:, times: }] hypotheses of the size of reading errors, as multiples of the usual size
      # - drifts: [{ share:, log_sd:, km: }] hypotheses of how the rate drifts; km is the correlation distance
      # - trends: [{ share:, per_life: }] hypotheses of how much faster a set wears by its end than when it was new
      #   (logarithm)
      # - axle_changes: [{ per_life:, log_mean:, log_sd: }] the whole axle's rate jumps (a commute, towing)
      # - seizures: [{ per_life:, log_mean:, log_sd:, mate_log_mean:, mate_log_sd: }] one component speeds up (a pin, a
      #   piston); its mate at the same corner slows down, stops, or goes on
      # - odd_from_new: { share:, log_mean:, log_sd: } one component does so from the start
      # - spells: [{ per_life:, log_mean:, log_sd: }] for one stretch between services the whole axle wears so many
      #   times as fast (a towing holiday, a hard winter), and then as before
      # - replaced: { above_mm:, sd_mm:, wrong:, times: } how far above its limit the thinnest part of a set is when it
      #   is renewed; wrong: the share renewed for another reason, then so many times as spread
      # - unlogged: { share:, when_due: } chance that a service finds a set missing from the log, and how much more if
      #   the old one was due
      # - wrong_new: { share:, sd_mm: } the new thickness on file is of other parts
      # - seizure_weights: { "left_inner" => 0.35 } which component seizes; sums to one
      # - quiet: { share:, times:, pin_times: } on that share of axles, changes of the axle and seizures come so many
      #   times as often
      # - movement: { "seized" => { seized:, sound:, begins: }, ... } how often a corner's pins and piston are found so
      #   where one of its components wears by a seizure and where none does; and the chance that one does from there on
      # - freed_log_sd: change of rate to expect when pins or pistons were freed
      # - kept_deviation: correlation of a position's deviation with that of its earlier set
      # - wrong: { share:, sd_mm: } a single reading is simply wrong
      # - affirmed_times: how many times as often a reading is wrong that was questioned, measured again and affirmed
      # - wrong_service: { share:, sd_mm: } everything read at one service is off by the same error
      # - plate_service: { share:, sd_mm:, mm: } the backing plates were measured with the pads; mm nil: never
      # - lip_service: { share:, sd_mm:, mm:, methods: } a tool of these rests on the lip, and reads too thick
      Prior =
        Value.define(
          :rate_mm_per_1000km,
          :rate_log_sd,
          :set_log_sd,
          :deviation_log_sd,
          :component_log_offset,
          :axle_log_offset,
          :axles_alike,
          :life_mm,
          :increment_mm,
          :common_increment,
          :errors,
          :drifts,
          :trends,
          :axle_changes,
          :seizures,
          :odd_from_new,
          :spells,
          :replaced,
          :unlogged,
          :wrong_new,
          :quiet,
          :seizure_weights,
          :movement,
          :freed_log_sd,
          :kept_deviation,
          :wrong,
          :affirmed_times,
          :wrong_service,
          :plate_service,
          :lip_service
        ) do
          def initialize(**)
            @computed = {}
            super
          end

          # The natural logarithm of the usual rate of such an axle, in mm per km; axle: its name, or nil
          def usual_log_rate(axle) = Math.log(rate_mm_per_1000km / 1000) + axle_log_offset.fetch(axle, 0.0)

          # What follows from it alone: the block's result, computed once.
          def once(key) = @computed.fetch(key) { @computed[key] = yield }
        end
    end
  end
end
