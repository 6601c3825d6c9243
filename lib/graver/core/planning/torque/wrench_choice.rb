# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # Chooses the wrench for a fastener, its setting, and the error of that setting.
      #
      #   setting without an extension: the target, rounded to the wrench's graduation
      #   with a crow-foot or offset of E in line with the handle: T_set = T x L / (L + E), L being the wrench's length
      class WrenchChoice
        # wrench: Wrench; setting: Float in its unit; reached: N·m at the fastener with that setting; off_share: reached
        # against the target; tolerance_share; low, high: N·m between which it ends; overdue: calibration older than it
        # should be, or never.
        Setting = Value.define(:wrench, :setting, :reached, :off_share, :tolerance_share, :low, :high, :overdue)
        # None reaches: [least, most] N·m of a common wrench to borrow, or nil; near: Wrench that covers it only
        # outside its usable part.
        Borrow = Value.define(:range, :near)

        # rules: { usable_from_share:, small_up_to:, small_share:, share:, calibration_months:, common_ranges: }
        def initialize(rules)
          @rules = rules
        end

        # target in N·m -> Setting of the wrench that ends nearest, or Borrow. extension_mm: E, 0 without.
        def call(target, wrenches, today, extension_mm: 0.0)
          able = wrenches.filter_map { |wrench| setting(target, wrench, today, extension_mm) }
          able.min_by { |setting| [setting.overdue ? 1 : 0, worst_share(setting, target), setting.wrench.id] } ||
            borrow(target, wrenches)
        end

        private

        def setting(target, wrench, today, extension_mm)
          return if extension_mm.positive? && !wrench.length_mm

          arm = extension_mm.positive? ? wrench.length_mm / (wrench.length_mm + extension_mm) : 1.0
          set = rounded(Quantity::TORQUE.from_base(target * arm, wrench.unit), wrench.graduation)
          return unless set.between?(usable_from(wrench), wrench.most)

          reached = Quantity::TORQUE.to_base(set, wrench.unit) / arm
          tolerance = tolerance(wrench)
          Setting.new(
            wrench:,
            setting: set,
            reached:,
            off_share: (reached / target) - 1,
            tolerance_share: tolerance,
            low: reached * (1 - tolerance),
            high: reached * (1 + tolerance),
            overdue: overdue?(wrench, today)
          )
        end

        def usable_from(wrench) = [wrench.least, wrench.most * @rules.fetch(:usable_from_share)].max
        def rounded(value, graduation) = ((value / graduation).round * graduation).round(6)
        def worst_share(setting, target) = [(setting.low / target) - 1, (setting.high / target) - 1].map(&:abs).max

        def tolerance(wrench)
          if Quantity::TORQUE.to_base(wrench.most, wrench.unit) <= @rules.fetch(:small_up_to)
            @rules.fetch(:small_share)
          else
            @rules.fetch(:share)
          end
        end

        def overdue?(wrench, today)
          wrench.calibrated_on.nil? || (wrench.calibrated_on >> @rules.fetch(:calibration_months)) < today
        end

        # The common range that covers it in its usable part, as near its middle as possible.
        def borrow(target, wrenches)
          ranges =
            @rules
              .fetch(:common_ranges)
              .select { |least, most| target.between?([least, most * @rules.fetch(:usable_from_share)].max, most) }
          near =
            wrenches.find do |wrench|
              Quantity::TORQUE.from_base(target, wrench.unit).between?(wrench.least, wrench.most)
            end
          Borrow.new(
            range: ranges.min_by { |least, most| (target - ((least + most) / 2.0)).abs / (most - least) },
            near:
          )
        end
      end
    end
  end
end
