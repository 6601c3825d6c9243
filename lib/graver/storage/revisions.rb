# frozen_string_literal: true

module Graver
  module Storage
    # Numbers that rise with every change, kept by triggers. household: with every change but those of jobs and drafts;
    # shared: of what all vehicles share; vehicles: { vehicle id => of its log, its jobs and its data }
    Revisions = Core::Value.define(:household, :shared, :vehicles)
  end
end
