# frozen_string_literal: true

require "prawn"

module Graver
  module Sheet
    # A document that says what is written on it in the owner's words.
    class Document < Prawn::Document
      # words: turns a text into the owner's words
      def self.in_words(words, **options) = new(**options).tap { |document| document.words = words }

      attr_writer :words

      def text(string, options = {}) = super(said(string), options)
      def text_box(string, options = {}) = super(said(string), options)
      def height_of(string, options = {}) = super(said(string), options)
      def width_of(string, options = {}) = super(said(string), options)

      private

      def said(string) = @words ? @words.call(string) : string
    end
  end
end
