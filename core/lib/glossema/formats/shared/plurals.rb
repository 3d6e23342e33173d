# Plural categories of languages (CLDR), and the Plural-Forms of gettext that go with them.
module Glossema
  module Formats
    module Plurals
      CATEGORIES =
        {
          %w[other] => %w[ja zh ko vi th id ms lo my ka km yue jv bo dz],
          %w[one other] => %w[
            en de nl sv da nb nn no fi et hu el bg tr he hi bn ur fa sw eu gl ca af sq az ka hy is mk ml ta
            te mr gu kn ne pa am
          ],
          %w[one many other] => %w[it es fr pt],
          %w[one few many other] => %w[pl ru uk be cs sk lt],
          %w[one few other] => %w[hr sr bs ro],
          %w[zero one other] => %w[lv],
          %w[one two few other] => %w[sl],
          %w[one two few many other] => %w[mt ga br],
          %w[zero one two few many other] => %w[ar cy]
        }.flat_map { |forms, languages| languages.map { |language| [language, forms] } }.to_h.freeze
      GETTEXT =
        {
          %w[ja zh ko vi th id ms lo my km yue] => "nplurals=1; plural=0;",
          %w[fr pt-BR hy] => "nplurals=2; plural=(n > 1);",
          %w[pl] => "nplurals=3; plural=(n==1 ? 0 : n%10>=2 && n%10<=4 && (n%100<10 || n%100>=20) ? 1 : 2);",
          %w[ru uk be sr hr bs] =>
            "nplurals=3; plural=(n%10==1 && n%100!=11 ? 0 : n%10>=2 && n%10<=4 && (n%100<10 || n%100>=20) " \
            "? 1 : 2);",
          %w[cs sk] => "nplurals=3; plural=(n==1) ? 0 : (n>=2 && n<=4) ? 1 : 2;",
          %w[lt] =>
            "nplurals=3; plural=(n%10==1 && n%100!=11 ? 0 : n%10>=2 && (n%100<10 || n%100>=20) ? 1 : 2);",
          %w[lv] => "nplurals=3; plural=(n%10==1 && n%100!=11 ? 0 : n != 0 ? 1 : 2);",
          %w[ro] => "nplurals=3; plural=(n==1 ? 0 : (n==0 || (n%100 > 0 && n%100 < 20)) ? 1 : 2);",
          %w[sl] => "nplurals=4; plural=(n%100==1 ? 0 : n%100==2 ? 1 : n%100==3 || n%100==4 ? 2 : 3);",
          %w[ga] => "nplurals=5; plural=n==1 ? 0 : n==2 ? 1 : n<7 ? 2 : n<11 ? 3 : 4;",
          %w[ar] =>
            "nplurals=6; plural=(n==0 ? 0 : n==1 ? 1 : n==2 ? 2 : n%100>=3 && n%100<=10 ? 3 : n%100>=11 ? " \
            "4 : 5);"
        }.flat_map { |languages, header| languages.map { |language| [language, header] } }.to_h.freeze
      OTHERS = "nplurals=2; plural=(n != 1);".freeze
      # Categories of ordinals, "other" alone where a language is not named.
      ORDINALS =
        {
          %w[one other] => %w[fil fr ga hu hy lo ms ro sv vi],
          %w[few other] => %w[be uk],
          %w[many other] => %w[it kk],
          %w[one many other] => %w[ka sq],
          %w[one two few other] => %w[en ca mr],
          %w[one few many other] => %w[az],
          %w[one two many other] => %w[mk],
          %w[one two few many other] => %w[bn gu hi],
          %w[zero one two few many other] => %w[cy]
        }.flat_map { |forms, languages| languages.map { |language| [language, forms] } }.to_h.freeze
      NAMES = %w[zero one two few many].freeze

      module_function

      # Categories of a language in their order, "other" last; type: :cardinal or :ordinal. Large-number forms
      # of Romance languages ("many") are left out: software does not ask for them.
      def categories(language, type = :cardinal)
        primary = Languages.primary(language)
        return ORDINALS.fetch(primary, %w[other]) if type == :ordinal

        %w[it es fr pt].include?(primary) ? %w[one other] : CATEGORIES.fetch(primary, %w[one other])
      end

      # Is a branch of this name one that the language never asks for?
      def superfluous?(name, language, type)
        primary = Languages.primary(language)
        known = type == :ordinal ? ORDINALS.fetch(primary, %w[other]) : CATEGORIES[primary]
        NAMES.include?(name) && known && !known.include?(name)
      end

      def gettext(language) = GETTEXT[language.to_s] || GETTEXT.fetch(Languages.primary(language), OTHERS)
    end
  end
end
