# Which addresses may be called: those of the whole internet, and of this computer and the networks around it
# only what the owner of the installation allows (GLOSSEMA_ALLOWED_HOSTS). A name is looked up once, and what
# was found and judged is what is called.
module HttpClient::Reachable
  # What is not of the whole internet (RFC 6890 and its kind).
  CLOSED = %w[
    0.0.0.0/8 10.0.0.0/8 100.64.0.0/10 127.0.0.0/8 169.254.0.0/16 172.16.0.0/12 192.0.0.0/24 192.0.2.0/24
    192.31.196.0/24 192.52.193.0/24 192.88.99.0/24 192.168.0.0/16 192.175.48.0/24 198.18.0.0/15
    198.51.100.0/24 203.0.113.0/24 224.0.0.0/4 240.0.0.0/4
    ::/128 ::1/128 64:ff9b:1::/48 100::/64 2001::/23 2001:db8::/32 3fff::/20 5f00::/16 fc00::/7 fe80::/10
    fec0::/10 ff00::/8
  ].map { |range| IPAddr.new(range) }.freeze
  # Addresses of version 6 that hold one of version 4, and after how many bits it begins.
  HOLDING = { "::/96" => 96, "::ffff:0:0/96" => 96, "::ffff:0:0:0/96" => 96, "64:ff9b::/96" => 96,
              "2002::/16" => 16 }.transform_keys { |range| IPAddr.new(range) }.freeze

  class << self
    # uri: of HTTP → the address to be called, as text. Raises Failure.
    def address(uri)
      found = looked_up(uri.hostname)
      unless found.all? { |one| open?(one) || allowed?(uri, one) }
        raise HttpClient::Failure, I18n.t("outside.closed", host: uri.hostname)
      end

      found.min_by { |one| one.ipv4? ? 0 : 1 }.to_s
    end

    def open?(address)
      inner = held_in(address)
      return open?(inner) if inner

      CLOSED.none? { |range| range.family == address.family && range.include?(address) }
    end

    private

    def looked_up(host)
      found = Addrinfo.getaddrinfo(host, nil, nil, :STREAM).map { |one|
        IPAddr.new(one.ip_address[/\A[^%]+/])
      }
      raise HttpClient::Failure, I18n.t("outside.unreached", why: host) if found.empty?

      found.uniq
    end

    def held_in(address)
      return unless address.ipv6?

      _, after = HOLDING.find { |range, _| range.include?(address) }
      return unless after && address.to_i > 1

      IPAddr.new((address.to_i >> (96 - after)) & 0xFFFFFFFF, Socket::AF_INET)
    end

    # Entries: a host, a host with a port, or a range of addresses.
    def allowed?(uri, address)
      Rails.configuration.x.allowed_hosts.any? do |entry|
        next true if [uri.hostname, "#{uri.hostname}:#{uri.port}"].any? { |one| one.casecmp?(entry) }

        range = IPAddr.new(entry)
        range.family == address.family && range.include?(address)
      rescue IPAddr::Error
        false
      end
    end
  end
end
