# frozen_string_literal: true

require_relative "../value"

module Graver
  module Core
    module Wear
      # What is believed of wear before anything was read; every figure is stated in knowledge/wear/ with its source.
      #
      # rate_mm_per_1000km        median rate
      # rate_log_sd               spread of the rate between vehicles (natural logarithm)
      # set_log_sd                spread between sets of one vehicle
      # deviation_log_sd          spread between the components of one axle
      # stuck_share, stuck_log_sd share of components that go their own way (seized pin, stuck piston) and their spread
      # component_log_offset      { "left_inner" => 0.06 }, how much faster a position wears as a rule
      # increment_mm              variance of a wear increment divided by its mean (gamma process scale)
      # drift_log_sd, drift_km    size and correlation distance of slow changes of the rate within a set
      # change_share, change_log_sd  chance that a component has changed its rate within a set, and by how much;
      # coming_change_share       chance that it is yet to change for the worse on a long way ahead
      # freed_log_sd              change of rate to expect when pins or pistons were freed
      # worlds                    suppositions of how steady wear is: [{ share:, and fields of this record that differ }]
      # wrong_share, wrong_sd_mm  share of readings that are simply wrong, and by how much
      Prior = Value.define(:rate_mm_per_1000km, :rate_log_sd, :set_log_sd, :deviation_log_sd, :stuck_share, :stuck_log_sd,
                           :component_log_offset, :increment_mm, :drift_log_sd, :drift_km, :change_share, :coming_change_share, :change_log_sd, :freed_log_sd,
                           :wrong_share, :wrong_sd_mm, :worlds)
    end
  end
end
