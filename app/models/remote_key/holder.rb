# What a key opens, as the core’s service takes it.
class RemoteKey::Holder
  def name = I18n.t("remote.server")

  def opened(key)
    record = record(key) or return
    item = record.item
    port = (item.is_a?(Memory) ? RemoteKey::MemoryPort : RemoteKey::TermbasePort).new(item, record)
    { Glossema::Remote::Item.new(id: item.id.to_s, kind: item.class.name.underscore, name: item.name,
      languages: port.languages, size: port.size, may: record.may) => port }
  end

  def spend(key, count) = RemoteKey.spend(record(key), count)

  private

  def record(key)
    @records ||= {}
    @records.fetch(key) { @records[key] = RemoteKey.known(key) }
  end
end
