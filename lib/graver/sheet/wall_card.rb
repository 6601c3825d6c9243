# frozen_string_literal: true

module Graver
  module Sheet
    # One page for the wall of the garage: every torque of the job in figures that read at two metres, and the
    # thicknesses that decide.
    class WallCard
      # job: as the API answers it (symbol keys); size: a key of Paper::SIZES -> PDF bytes. Raises InvalidEntry.
      def self.call(job, size)
        raise InvalidEntry.of("paper", "unknown_paper", Say::Texts.t("faults.paper")) unless Paper::SIZES.key?(size)

        new(job, size).call
      end

      def initialize(job, size)
        @job = job
        @paper = Paper.new(size, title: Say::Texts.t("card.title", vehicle: job[:vehicle][:name]))
        @pdf = @paper.pdf
      end

      def call
        @paper.say Say::Texts.t("card.title", vehicle: @job[:vehicle][:name]), size: 18, style: :bold
        limits
        torque
        @paper.foot(Say::Texts.t("sheet.foot"))
        @paper.bytes
      end

      private

      def torque
        return @paper.say(Say::Texts.t("card.no_torque")) if @job[:torque].empty?

        @paper.heading("Torque")
        TorqueCard.new(@paper).draw(@job[:torque], several: @job[:axles].length > 1, room: @pdf.cursor - 6)
      end

      def limits
        [*@job[:axles].flat_map { |axle| of(axle[:axle]) }, *fluid].each { |line| @paper.say line, size: 12 }
      end

      def fluid
        return [] unless @job[:fluid]

        [Say::Texts.t("card.fluid", grade: @job[:fluid][:grade] || Say::Texts.t("sheet.unknown"))]
      end

      def of(axle)
        corner = axle[:corners].first
        pad, name = corner[:pads].first, axle[:name].capitalize
        thickness = { axle: name, new: length(pad[:new_mm]), limit: length(pad[:limit_mm]) }
        return Say::Texts.t("card.shoes", **thickness), drums(name, corner[:drum]) if corner[:drum]

        [Say::Texts.t("card.pads", **thickness), rotors(name, corner[:rotor])]
      end

      def rotors(axle, rotor)
        Say::Texts.t("card.rotors", axle:, new: length(rotor[:new_mm]), discard: length(rotor[:discard_mm]))
      end

      def drums(axle, drum)
        Say::Texts.t("card.drums", axle:, new: length(drum[:new_mm]), maximum: length(drum[:maximum_mm]))
      end

      def length(mm) = mm ? Say::Lengths.exact(mm) : Say::Texts.t("sheet.unknown")
    end
  end
end
