# One segment in a review sheet.
require "cgi"
require "digest"

module Glossema
  module Review
    # id: by which it is found again, unique in the sheet; file: the name of its file, or nil; number: as it
    # is told; source, target: Content; notes: texts; terms: [[term of the source, its translations], …];
    # state: of Exchange::Xliff::STATES, translated when unset; locked: it is there to be read only.
    Row = Struct.new(:id, :file, :number, :source, :target, :notes, :terms, :state, :locked,
      keyword_init: true) do
      # What stands hidden in the sheet: the id, and what source and target were when it went out.
      def token = "#gl:#{CGI.escape(id.to_s)}:#{Row.stamp(source.written, target.written)}#"

      def self.stamp(source, target) = Digest::SHA256.hexdigest("#{source}\0#{target}")[0, 8]
    end
    TOKEN = /#gl:([^#:\s]+):(\h{8})#/
  end
end
