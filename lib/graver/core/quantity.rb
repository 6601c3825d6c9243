# frozen_string_literal: true

module Graver
  module Core
    module Quantity
      # Factors from NIST Special Publication 811 (2008), appendix B.8. The inch and the mile are exact by
      # definition; lbf·ft and lbf·in are built from the exact pound, foot and standard gravity, which SP 811
      # rounds to 1.355 818 and 0.112 984 8 N·m. The US fluid ounce is 1.8046875 cubic inches, exactly.
      INCH_MM = Rational(254, 10)

      POUND_FORCE_NEWTONS = Rational("0.45359237") * Rational("9.80665")

      LENGTH =
        UnitTable.new(
          base: "mm",
          factors: {
            "mm" => 1r,
            "in" => INCH_MM,
            "thou" => INCH_MM / 1000,
            "32nd" => INCH_MM / 32,
            "100th" => INCH_MM / 100
          }
        )

      VOLUME = UnitTable.new(base: "ml", factors: { "ml" => 1r, "fl oz" => Rational("29.5735295625") })

      ANGLE = UnitTable.new(base: "°", factors: { "°" => 1r })

      DISTANCE = UnitTable.new(base: "km", factors: { "km" => 1r, "mi" => Rational("1.609344") })

      TORQUE =
        UnitTable.new(
          base: "N·m",
          factors: {
            "N·m" => 1r,
            "lbf·ft" => POUND_FORCE_NEWTONS * Rational("0.3048"),
            "lbf·in" => POUND_FORCE_NEWTONS * Rational("0.0254")
          }
        )
    end
  end
end
