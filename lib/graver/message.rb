# frozen_string_literal: true

require "forwardable"

module Graver
  # A sentence still to be said: what to say, and its tokens. It becomes words where words are wanted, in the English of
  # whoever asks; until then it can be compared and handed on as data. Wherever Ruby wants a String it is one.
  #
  #   Message.of("faults.between", least: 0.1, most: 200).to_s # => "Enter a value from 0.1 to 200."
  #
  # Where nothing says texts (the core on its own), it reads "faults.between least=0.1 most=200".
  class Message
    extend Forwardable

    # How a text's tokens are filled: :keyed, a text of Graver's own by its key; :plain, each token as it is; :measured,
    # figures by their names, in an owner's distances and terms; :distance, a distance in km; :part, the name of a part.
    KINDS = %i[keyed plain measured distance part].freeze

    attr_reader :kind, :text, :tokens, :unit, :terms

    def_delegators :to_s,
                   :+,
                   :[],
                   :empty?,
                   :length,
                   :include?,
                   :match,
                   :match?,
                   :start_with?,
                   :end_with?,
                   :sub,
                   :gsub,
                   :strip,
                   :chomp

    # unit: the owner's, for distances.
    def self.of(key, unit: "km", **tokens) = new(:keyed, key, tokens:, unit:)

    # In the owner's unit.
    def self.distance(km, unit) = new(:distance, km, unit:)
    # By its name in the log ("left rotor").
    def self.part(name) = new(:part, name)

    # Set once, where texts are known (lib/graver.rb). voice: a callable (Message) -> String
    def self.said_by(voice)
      raise Error, "there is a voice already" if @voice

      @voice = voice
    end

    def self.say(message)
      @voice ? @voice.call(message) : [message.text, *message.tokens.map { |name, token| "#{name}=#{token}" }].join(" ")
    end

    def initialize(kind, text, tokens: {}, unit: "km", terms: {})
      @kind = kind
      @text = text
      @tokens = tokens
      @unit = unit
      @terms = terms
      freeze
    end

    # The same in an owner's terms too (Terms.put).
    def in_terms(terms) = Message.new(kind, text, tokens:, unit:, terms: @terms.merge(terms))

    def to_s = self.class.say(self)
    alias to_str to_s
    def to_json(*arguments) = to_s.to_json(*arguments)
    def ==(other) = other.respond_to?(:to_str) && to_s == other.to_str
    def <=>(other) = to_s <=> other.to_s
    # On file it is kept as it was said at the time (Sequel asks for this).
    def sql_literal_append(dataset, sql) = dataset.literal_append(sql, to_s)
    def eql?(other) = other.is_a?(Message) && identity == other.identity
    def hash = identity.hash

    protected

    def identity = [kind, text, tokens, unit, terms]
  end
end
