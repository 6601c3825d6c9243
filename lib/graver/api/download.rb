# frozen_string_literal: true

module Graver
  module API
    # A file instead of JSON. type: its media type; body: its bytes, or what `each` gives them part by part;
    # disposition: the header, or nil to show it in place
    Download = Struct.new(:type, :body, :disposition, keyword_init: true)
  end
end
