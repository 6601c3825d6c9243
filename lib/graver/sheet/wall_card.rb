# frozen_string_literal: true

module Graver
  module Sheet
    # One page for the wall of the garage: every torque of the job in figures that read at two metres, and the
    # thicknesses that decide.
    class WallCard
      # job: as the API answers it (symbol keys); size: a key of Paper::SIZES -> PDF bytes. Raises InvalidEntry.
      # words: turns a text into the owner's words
      def self.call(job, size, words: :itself.to_proc)
        raise InvalidEntry.of("paper", "unknown_paper", Texts.say("faults.paper")) unless Paper::SIZES.key?(size)

        new(job, size, words).call
      end

      def initialize(job, size, words)
        @job = job
        @paper = Paper.new(size, title: Texts.say("card.title", vehicle: job[:vehicle][:name]), words:)
        @pdf = @paper.pdf
      end

      def call
        @paper.say Texts.say("card.title", vehicle: @job[:vehicle][:name]), size: 18, style: :bold
        limits
        torque
        @paper.foot(Texts.say("sheet.foot"))
        @paper.bytes
      end

      private

      def torque
        return @paper.say(Texts.say("card.no_torque")) if @job[:torque].empty?

        @paper.heading("Torque")
        TorqueCard.new(@paper).draw(@job[:torque], several: @job[:axles].length > 1, room: @pdf.cursor - 6)
      end

      def limits
        fluid = Texts.say("card.fluid", grade: @job[:fluid][:grade] || Texts.say("sheet.unknown"))
        [*@job[:axles].flat_map { |axle| of(axle[:axle]) }, fluid].each { |line| @paper.say line, size: 12 }
      end

      def of(axle)
        pad, rotor = axle[:corners].first.values_at(:inner, :rotor)
        name = axle[:name].capitalize
        [
          Texts.say("card.pads", axle: name, new: mm(pad[:new_mm]), limit: mm(pad[:limit_mm])),
          Texts.say("card.rotors", axle: name, new: mm(rotor[:new_mm]), discard: mm(rotor[:discard_mm]))
        ]
      end

      def mm(value) = value ? "#{format("%g", value)} mm" : Texts.say("sheet.unknown")
    end
  end
end
