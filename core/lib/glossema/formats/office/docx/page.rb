# A DOCX as simple HTML for the preview: headings, paragraphs, lists, tables, pictures, text boxes and notes.
module Glossema
  module Formats
    class Docx
      class Page
        # block: given a Unit, answers the HTML of its text.
        def initialize(file, places, block)
          @file, @block = file, block
          @places = places.select(&:paragraph).to_h { |place| [place.paragraph.node.pointer_id, place] }
          @numbers = Hash.new(0)
        end

        def html
          @file
            .stories
            .map do |story|
              @story = story
              inner =
                blocks(
                  (
                    if story.kind == "body"
                      story.xml.root.at_xpath("./*[local-name()='body']") || story.xml.root
                    else
                      story.xml.root
                    end
                  )
                )
              next inner if story.kind == "body"

              if inner.match?(/<span data-segment/)
                "<section class=\"aside #{story.kind}\">#{inner}</section>"
              else
                ""
              end
            end
            .join("\n")
        end

        private

        def blocks(node)
          node
            .element_children
            .map do |child|
              case child.name
              when "p"
                paragraph(child)
              when "tbl"
                table(child)
              when "pPr", "sectPr", "tcPr", "sdtPr"
                ""
              else
                blocks(child)
              end
            end
            .join
        end

        def paragraph(node)
          place = @places[node.pointer_id] or return ""
          text = place.unit.content.blank? ? "" : @block.call(place.unit)
          extra = pictures(node) + boxes(node)
          return extra if text.empty?

          "#{tagged(place, text)}#{extra}"
        end

        def tagged(place, text)
          block = place.paragraph.block
          case block
          when /\Aheading-(\d)/
            "<h#{Regexp.last_match(1)}>#{text}</h#{Regexp.last_match(1)}>"
          when "title"
            "<h1 class=\"title\">#{text}</h1>"
          when "list-item"
            "<p class=\"item\" style=\"--level:#{place.paragraph.list.last}\" " \
              "data-mark=\"#{mark(*place.paragraph.list)}\">#{text}</p>"
          else
            "<p>#{text}</p>"
          end
        end

        def mark(id, level)
          return "•" if @file.styles.number_format(id, level) == "bullet"

          @numbers.each_key { |key| @numbers[key] = 0 if key[0] == id && key[1] > level }
          "#{@numbers[[id, level]] += 1}."
        end

        def table(node)
          rows =
            node
              .xpath("./*[local-name()='tr'] | ./*[local-name()='sdt']//*[local-name()='tr']")
              .map do |row|
                cells =
                  row
                    .xpath(
                      "./*[local-name()='tc'] | " \
                        "./*[local-name()='sdt']/*[local-name()='sdtContent']/*[local-name()='tc']"
                    )
                    .map do |cell|
                      properties = Styles.child(cell, "tcPr")
                      merge = Styles.child(properties, "vMerge")
                      next if merge && Styles.value(merge, "val") != "restart"

                      span = Styles.value(Styles.child(properties, "gridSpan"), "val").to_i
                      "<td#{" colspan=\"#{span}\"" if span > 1}>#{blocks(cell)}</td>"
                    end
                "<tr>#{cells.join}</tr>"
              end
          "<table>#{rows.join}</table>"
        end

        def pictures(node)
          node
            .xpath("./*[local-name()='r' or local-name()='hyperlink']//*[local-name()='blip']")
            .filter_map do |blip|
              target = @file.relation_target(@story.path, Styles.value(blip, "embed")) or next
              Pictures.figure(target, @file.container.read(target))
            end
            .uniq
            .join
        end

        def boxes(node)
          node
            .xpath("./*[local-name()='r']//*[local-name()='txbxContent']")
            .filter_map do |box|
              if box.ancestors.any? { |parent|
                   parent.name == "Fallback" &&
                       @places[box.at_xpath(".//*[local-name()='p']")&.pointer_id].nil?
                 }
                next
              end

              inner = blocks(box)
              "<div class=\"box\">#{inner}</div>" unless inner.empty?
            end
            .join
        end
      end
    end
  end
end
