# frozen_string_literal: true

module Graver
  module Say
    # Thicknesses in the household's units: pads in mm, inches or whole 32nds of one, rotors in mm or inches.
    module Lengths
      MM_PER_INCH = 25.4
      # Digits of a length in inches by its digits in mm: the trade reads thousandths, and tenths of them where a tool
      # tells hundredths of a millimetre apart.
      INCH_DIGITS = { 0 => 2, 1 => 3, 2 => 3, 3 => 4 }.freeze
      # A figure so near a whole 32nd is that.
      NEARLY = 0.06
      # What is about a rotor or a drum, by the name of the token; all else is about pads.
      ROTOR = /rotor|discard|machine|variation|runout|drum|oval|\A(reading|cut_left|spare)_mm\z/
      # What is no thickness of a pad is never said in 32nds.
      DIFFERENCE = /error|thinner|gone|extension|taper|spare|cut_left/
      # Lengths that something must not fall below are rounded up to a 32nd, all others down: to the careful side.
      BOUND = /\A(?:limit|floor|maker|shoe_least)_mm\z/

      module_function

      # "5.6 mm", "0.220 in", "7/32 in"; error_mm: "0.220 ± 0.008 in"; bound: whether it is a limit
      def call(mm, kind, digits: 1, error_mm: nil, bound: false)
        return Formats.with_unit(plain(mm, kind, digits:, bound:), unit(kind)) unless error_mm

        figures = [mm, error_mm].map { |each| figure(each, unit(kind), digits) }
        Formats.with_unit(figures.join(" ± "), unit(kind))
      end

      # The same without its unit.
      def plain(mm, kind, digits: 1, bound: false)
        unit = Spoken.lengths.fetch(kind)
        unit == "32nd" ? whole(mm, bound) : figure(mm, unit, digits)
      end

      # "mm" or "in": what stands behind a thickness of a pad or a rotor.
      def unit(kind) = Spoken.lengths.fetch(kind) == "mm" ? "mm" : "in"

      # As it was entered or is written in the knowledge, as precisely: "7.5 mm", "0.295 in"
      def exact(mm) = Formats.with_unit(bare(mm), unit("pad"))
      # The same without its unit.
      def bare(mm)
        unit("pad") == "mm" ? Formats.number(mm) : format("%.3f", mm / MM_PER_INCH)
      end

      # By the name of its token ("limit_mm").
      def named(name, mm, error_mm = nil)
        digits = Formats.digits(name) || 1
        return Formats.with_unit(figure(mm, unit(kind(name)), digits), unit(kind(name))) if name.match?(DIFFERENCE)

        call(mm, kind(name), digits:, error_mm:, bound: name.match?(BOUND))
      end

      def kind(name) = name.match?(ROTOR) ? "rotor" : "pad"

      # "0.22 mm per 1,000 km" of a pad, "0.06 to 0.32 mm per 1,000 km"; mms: per 1,000 km
      def rate(*mms, distance_unit)
        metric = unit("pad") == "mm"
        per = mms.map { |mm| mm * Core::Quantity::DISTANCE.to_base(1, distance_unit) }
        figures = per.map { |mm| metric ? format("%.2f", mm) : format("%.4f", mm / MM_PER_INCH) }
        said = Formats.with_unit(figures.join(" to "), unit("pad"))
        "#{said} per #{Formats.with_unit("1,000", distance_unit)}"
      end

      def figure(mm, unit, digits)
        return format("%.#{digits}f", mm) if unit == "mm"

        format("%.#{INCH_DIGITS.fetch(digits)}f", mm / MM_PER_INCH)
      end

      def whole(mm, bound)
        exact = mm / MM_PER_INCH * 32
        "#{bound ? (exact - NEARLY).ceil : (exact + NEARLY).floor}/32"
      end
      private_class_method :figure, :whole
    end
  end
end
