# frozen_string_literal: true

module Graver
  module Devices
    # What a parts counter owes to Graver: what can be had for one line of a parts list, at what price and when. A real
    # one (a dealer's list, a file of a shop's) is one new class under this folder, and one line in boot.rb.
    #
    # - `offers(item:, wanted:)` answers with Offers, the cheapest first, or none; it raises DeviceFailed when it
    # cannot be
    #   reached. `item` is a part, consumable or tool of the knowledge; `wanted` what is known of the old one in mm:
    #   { thickness_mm:, diameter_mm: }, either may be nil. An offer may be the wrong variant: that is checked
    #   elsewhere.
    # - `simulated?` says whether its prices mean anything.
    #
    # spec/contract/parts_counter.rb holds every implementation to this.
    class PartsCounter
      # price: text of a plain number, for one piece; thickness_mm, diameter_mm: Float or nil; compound: as in the
      # what-ifs, or nil
      Offer = Core::Value.define(:name, :number, :supplier, :price, :lead_days, :compound, :thickness_mm, :diameter_mm)

      def offers(item:, wanted:)
        raise(NotImplementedError, "#{self.class} owes offers for #{item} (#{wanted.keys.join(", ")})")
      end
      def simulated? = false
    end
  end
end
