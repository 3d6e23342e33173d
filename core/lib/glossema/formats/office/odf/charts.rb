# Charts in ODF: titles, labels typed by hand and the table of a chart with data of its own are texts; the
# copy that a chart keeps of cells elsewhere follows those cells.
module Glossema
  module Formats
    class Odf < Package
      module Charts
        TITLES = "//*[local-name()='chart']//*[local-name()='title' or local-name()='subtitle' or " \
          "local-name()='footer' or local-name()='data-label']//*[local-name()='p']".freeze
        CELLS = "//*[local-name()='chart']/*[local-name()='table']//*[local-name()='table-cell']" \
          "/*[local-name()='p']".freeze
        ADDRESSES = "//@*[local-name()='cell-range-address' or local-name()='values-cell-range-address' or " \
          "local-name()='label-cell-address']".freeze
        OWN = "local-table".freeze

        private

        # part: the content of an embedded object.
        def read_chart(part)
          return unless container.entry?(part) && (chart = readable(part))

          lines = chart.xpath(TITLES).to_a
          if own_data?(chart)
            lines += chart.xpath(CELLS).select { |line| Columns.text?(line.text) }
          else
            (@copies ||= {})[part] = chart.xpath(CELLS).to_a
          end
          lines.each { |line| paragraph(line, part, { where: "chart" }) }
        end

        def own_data?(chart)
          chart.xpath(ADDRESSES).all? { |address| address.value.empty? || address.value.start_with?(OWN) }
        end

        # {text of a cell or paragraph => its node}, as they read before they are written.
        def copied_texts
          return {} unless @copies

          @places.select(&:paragraph).to_h { |place| [place.paragraph.node.text, place.paragraph.node] }
        end

        # Answers the paths of the charts whose copies changed. before: what `copied_texts` was.
        def renew_copies(before)
          @copies.to_h.select do |_, lines|
            lines.count { |line| renew_copy(line, before[line.text]) }.positive?
          end.keys
        end

        def renew_copy(line, origin)
          return false if origin.nil? || origin.text == line.text

          line.content = origin.text
        end
      end
    end
  end
end
