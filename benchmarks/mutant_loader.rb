# frozen_string_literal: true

# Loaded before the specs of one planted bug: reads its file from GRAVER_MUTANT_TEXT instead of from lib.
file, text = ENV.values_at("GRAVER_MUTANT_FILE", "GRAVER_MUTANT_TEXT")
mutated = file && RubyVM::InstructionSequence.compile(File.read(text), file, file)
RubyVM::InstructionSequence.singleton_class.define_method(:load_iseq) { |path| path == file ? mutated : nil } if file
