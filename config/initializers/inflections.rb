# Words that Rails would take for others.
ActiveSupport::Inflector.inflections(:en) { |inflect| inflect.irregular "termbase", "termbases" }
