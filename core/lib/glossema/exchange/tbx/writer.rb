# Writes entries as TBX, in the style they came in or as TBX-Basic with data categories as attributes.
module Glossema
  module Exchange
    module Tbx
      class Writer
        # Names of elements by style.
        NAMES = {
          "martif" => { root: "martif", header: "martifHeader", entry: "termEntry", section: "langSet",
                        group: "tig" },
          nil => { root: "tbx", header: "tbxHeader", entry: "conceptEntry", section: "langSec",
                   group: "termSec" }
        }.freeze
        SPACES = {
          "xmlns" => "urn:iso:std:iso:30042:ed-2",
          "xmlns:min" => "http://www.tbxinfo.net/ns/min",
          "xmlns:basic" => "http://www.tbxinfo.net/ns/basic",
          "xmlns:gl" => "https://glossema.example/ns/terms"
        }.freeze
        GENDERS = { "m" => "masculine", "f" => "feminine", "n" => "neuter" }.freeze

        def initialize(io, head)
          @io, @head = io, head
          @style = STYLES.include?(head["style"]) ? head["style"] : "dca"
          @names = NAMES[@style] || NAMES[nil]
        end

        def run(entries)
          @io << %(<?xml version="1.0" encoding="UTF-8"?>\n)
          @io << "<#{@names[:root]}#{attributes(root)}>\n#{header}\n<text><body>\n"
          entries.each { |entry| @io << Content.well_formed_xml(entry(entry)) }
          @io << "</body>#{@head["back"]}</text>\n</#{@names[:root]}>\n"
        end

        private

        def root
          kept = @head["root"] || {}
          return { "type" => "TBX-Basic", "xml:lang" => "en", **kept } if @style == "martif"

          spaces = @style == "dct" ? SPACES : SPACES.slice("xmlns")
          { "type" => "TBX-Basic", "style" => @style, "xml:lang" => "en", **spaces, **kept }
        end

        def header
          return @head["header"] if @head["header"]

          title = Html.escape(@head["title"].to_s)
          description = "<sourceDesc><p>Glossema</p></sourceDesc>"
          inner = "<fileDesc><titleStmt><title>#{title}</title></titleStmt>#{description}</fileDesc>"
          "<#{@names[:header]}>#{inner}</#{@names[:header]}>"
        end

        def entry(entry)
          id = entry.id ? { "id" => entry.id } : {}
          sections = entry.sections.reject { |section| section.terms.empty? }.map { |one| section(one) }
          "<#{@names[:entry]}#{attributes(id)}>#{said(entry, :entry)}#{sections.join}</#{@names[:entry]}>\n"
        end

        def section(section)
          inner = said(section, :section) + section.terms.map { |term| term(term) }.join
          "<#{@names[:section]}#{attributes("xml:lang" => section.lang)}>#{inner}</#{@names[:section]}>"
        end

        def term(term)
          on = term.extras.to_a.select { |one| one["on"] }.to_h { |one| [one["on"], one["attributes"]] }
          name = @names[:group]
          text = "<term#{attributes(on["term"] || {})}>#{Html.escape(term.text)}</term>"
          "<#{name}#{attributes(on["group"] || {})}>#{text}#{said(term, :term)}</#{name}>"
        end

        # All that is known at a place but for what stands under it.
        def said(value, where)
          extras = value.extras.to_a.select { |one| one["xml"] }
          held = extras.to_h { |one| [one["holds"], one["xml"]] }
          fields =
            WRITTEN[where].map do |field, how|
              text = text(value, field).to_s
              next if text.empty?

              held[field.to_s] ? filled(held[field.to_s], text) : element(how, text)
            end
          acts = value.respond_to?(:past) ? value.past.to_a.map { |act| act(act) } : []
          kept = extras.reject { |one| one["holds"] }.map { |one| one["xml"] }
          [*fields, *kept, *acts].join
        end

        # The value of a field as the standard writes it.
        def text(value, field)
          said = value.public_send(field)
          case field
          when :status then said && "#{said}Term-admn-sts"
          when :gender then GENDERS.fetch(said, said)
          when :forbidden, :cased then said ? "yes" : nil
          else said
          end
        end

        # What held a field when it came, holding it as it is now.
        def filled(xml, text)
          escaped = Html.escape(text)
          xml[/>([^<]+)</m, 1].to_s.strip == escaped ? xml : xml.sub(/>[^<]+</m) { ">#{escaped}<" }
        end

        def element((category, carrier, space), text)
          return "<note>#{Html.escape(text)}</note>" unless carrier
          return picture(category, carrier, space, text) if category == "xGraphic"

          name = @style == "dct" ? "#{space}:#{category}" : carrier
          type = @style == "dct" ? {} : { "type" => category }
          "<#{name}#{attributes(type)}>#{Html.escape(text)}</#{name}>"
        end

        def picture(category, carrier, space, address)
          return "<#{space}:#{category}#{attributes("target" => address)}/>" if @style == "dct"

          "<#{carrier}#{attributes("type" => category, "target" => address)}/>"
        end

        def act(act)
          parts = { "transactionType" => act["act"], "responsibility" => act["by"] }.compact
          inner =
            parts.map do |category, text|
              name = category == "transactionType" ? "transac" : "transacNote"
              name, type = @style == "dct" ? ["basic:#{category}", {}] : [name, { "type" => category }]
              "<#{name}#{attributes(type)}>#{Html.escape(text)}</#{name}>"
            end
          date = act["at"] ? "<date>#{Html.escape(act["at"])}</date>" : ""
          "<transacGrp>#{inner.join}#{date}</transacGrp>"
        end

        def attributes(values) =
          values.map { |name, value| " #{name}=\"#{Html.escape(value.to_s)}\"" }.join
      end
    end
  end
end
