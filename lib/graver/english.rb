# frozen_string_literal: true

module Graver
  # Which English Graver speaks: British or American. Texts carry both forms at their source, "<tyre|tire>", and are put
  # into one as they are loaded. What an owner typed never passes through here, so it is never changed.
  #
  #   English.put("Lift the <tyre|tire>s", "us") # => "Lift the tires"
  module English
    # The first is the default where no one chose and the browser asks for neither.
    ALL = %w[us uk].freeze
    DEFAULT = ALL.first
    # British form, then American form.
    FORMS = /<([^<>|\s][^<>|]*)\|([^<>|\s][^<>|]*)>/
    # Browsers of these regions, and of none, mean American English.
    AMERICAN = /\Aen(-(us|ca|ph))?\s*(;|\z)/i

    module_function

    # content: a String, Array or Hash of them -> the same in one English; keys too.
    def put(content, english)
      case content
      when String
        content.gsub(FORMS, english == "uk" ? '\\1' : '\\2')
      when Array
        content.map { |each| put(each, english) }
      when Hash
        content.to_h { |key, value| [put(key, english), put(value, english)] }
      else
        content
      end
    end

    # Accept-Language of a browser, or nil -> of ALL
    def of_browser(languages)
      first = languages.to_s.split(",").first.to_s.strip
      return DEFAULT if ["", "*"].include?(first)

      first.match?(AMERICAN) ? "us" : "uk"
    end
  end
end
