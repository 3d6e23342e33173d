# Pictures of a document in its preview: carried along as data, so that nothing is fetched from anywhere. Only
# kinds in which nothing can run.
module Glossema
  module Formats
    module Pictures
      KINDS = {
        "png" => "image/png", "jpg" => "image/jpeg", "jpeg" => "image/jpeg", "gif" => "image/gif",
        "webp" => "image/webp"
      }.freeze
      # A larger one is left out.
      LARGEST = 3 * 1024 * 1024
      DATA = %r{\Adata:image/(?:png|jpeg|gif|webp);base64,[A-Za-z0-9+/=\s]+\z}

      module_function

      # name: of the picture's file; data: its bytes, or nil. HTML, empty where it cannot be shown.
      def figure(name, data)
        type = KINDS[File.extname(name.to_s).delete(".").downcase]
        return "" if type.nil? || data.nil? || data.bytesize > LARGEST

        shown("data:#{type};base64,#{[data].pack("m0")}")
      end

      # source: what an HTML page says where a picture is; the block answers the bytes of a file beside it.
      def of_html(source, &beside)
        return source.length < LARGEST * 2 ? shown(source.delete(" \n\r\t")) : "" if source.match?(DATA)
        return "" if beside.nil? || source.match?(/\A[a-z]+:/i)

        figure(source, beside.call(source))
      end

      def shown(source) = "<figure><img alt=\"\" src=\"#{source}\"></figure>"
      private_class_method :shown
    end
  end
end
