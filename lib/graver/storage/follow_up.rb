# frozen_string_literal: true

module Graver
  module Storage
    # text: what is open; about: the rule of the finding it answers, or nil; day, closed_on: Date; look_on: Date to look
    # again, or nil; closed_because: the cause, or nil while it is open
    FollowUp =
      Core::Value.define(
        :id,
        :vehicle_id,
        :axle_id,
        :side,
        :text,
        :about,
        :look_on,
        :day,
        :closed_on,
        :closed_because
      ) do
        # Whether its owner has not closed it.
        def open? = closed_on.nil?
        # Is the day to look again there?
        def due?(today) = open? && !look_on.nil? && look_on <= today
      end
  end
end
