# frozen_string_literal: true

require "prawn"

# The drawing is to scale: what is measured off the paper is what was measured on the brake.
RSpec.describe Graver::Sheet::Section do
  # Notes what would be drawn.
  let(:pdf) do
    instance_spy(Prawn::Document).tap do |spy|
      allow(spy).to receive(:fill_color) { |colour| pens[:fill] = colour }
      allow(spy).to receive(:stroke_color) { |colour| pens[:stroke] = colour }
      allow(spy).to receive(:fill_rectangle) { |at, width, _|
        filled << [pens[:fill], at.first.round(3), width.round(3)]
      }
      allow(spy).to receive(:stroke_rectangle) { |at, width, _| outlined << [at.first.round(3), width.round(3)] }
      allow(spy).to receive(:stroke_line) { |from, _| lines << [pens[:stroke], from.first.round(3)] }
      allow(spy).to receive(:text_box) { |text, *| words << text }
    end
  end
  let(:pens) { {} }
  let(:filled) { [] }
  let(:outlined) { [] }
  let(:lines) { [] }
  let(:words) { [] }
  let(:colours) { Graver::Sheet::Brush::COLOURS }

  def pad(label, now) = { label:, now_mm: now, sd_mm: 0.1, limit_mm: 3.0, new_mm: 11.0, backing_mm: 5.0 }
  def corner(side: "left", inner: 4.0, outer: 7.0, rotor: 24.0)
    {
      side:,
      pads: [pad("inner", inner), pad("outer", outer)],
      rotor: {
        now_mm: rotor,
        sd_mm: 0.02,
        new_mm: 25.0,
        discard_mm: 23.0
      }
    }
  end
  def draw(corner) = described_class.new(pdf, scale: 2.0).draw(corner, [100, 500])
  def of(colour) = filled.select { |each, *| each == colours.fetch(colour) }

  # plate 5 + pad 11 + rotor 25 + pad 11 + plate 5 = 57 mm, at 2 points a millimetre
  it "is as wide as its parts together" do
    expect(draw(corner)).to eq(114.0)
    expect(of(:plate).map(&:last)).to eq([10.0, 10.0])
    expect(of(:friction).map(&:last)).to contain_exactly(14.0, 8.0)
    expect(of(:rotor).map(&:last)).to eq([48.0])
  end

  it "draws worn material in place, and limits as lines" do
    draw(corner)
    expect(outlined.map(&:last)).to contain_exactly(50.0, 8.0, 14.0)
    expect(lines.count { |colour, _| colour == colours[:pad_limit] }).to eq(2)
    rotor_lines = lines.select { |colour, _| colour == colours[:rotor_limit] }.map(&:last)
    expect(rotor_lines.max - rotor_lines.min).to eq(46.0)
  end

  it "has the outer pad on the outside of either wheel" do
    draw(corner)
    left = of(:friction).min_by { |_, at, _| at }.last
    filled.clear
    draw(corner(side: "right"))
    right = of(:friction).min_by { |_, at, _| at }.last
    expect([left, right]).to eq([14.0, 8.0])
  end

  it "labels unknown parts and leaves them empty" do
    draw(corner(inner: nil, rotor: nil))
    expect(words).to include("inner ?", "outer 7.0", "?")
    expect(of(:rotor)).to be_empty
    expect(of(:friction).length).to eq(1)
  end

  it "draws a pad thicker than new as it was read" do
    expect(draw(corner(outer: 12.0))).to eq(116.0)
  end
end
