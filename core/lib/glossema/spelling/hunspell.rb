# Hunspell itself, the C library, as Debian ships it: the few functions that are called.
require "ffi"

module Glossema
  module Spelling
    module Hunspell
      extend FFI::Library
      NAMES = %w[libhunspell-1.7.so.0 libhunspell.so libhunspell-1.7.dylib].freeze

      begin
        ffi_lib NAMES
        attach_function :create, :Hunspell_create, %i[string string], :pointer
        attach_function :spell, :Hunspell_spell, %i[pointer pointer], :int
        attach_function :suggest, :Hunspell_suggest, %i[pointer pointer pointer], :int
        attach_function :stem, :Hunspell_stem, %i[pointer pointer pointer], :int
        attach_function :free_list, :Hunspell_free_list, %i[pointer pointer int], :void
        attach_function :encoding, :Hunspell_get_dic_encoding, [:pointer], :string
        THERE = true
      rescue LoadError
        THERE = false
      end
    end
  end
end
