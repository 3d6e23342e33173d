# What stands in tables that leave, in the language of whoever asks: by its key in config/locales/tables, or
# as the screen calls it.
module TableWords
  private

  def word(key, **details) = I18n.t("tables.#{key}", **details)

  # A text of the interface by group and key; nil for nothing.
  def as_shown(group, key) = key && I18n.t("interface.#{group}.#{key}")

  def band_name(band) = as_shown("bandNames", band)
end
