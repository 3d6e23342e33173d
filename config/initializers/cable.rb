# How the cable is set is read once, not anew for every message.
module ReadOnce
  private

  def cable_config = @cable_config ||= super
end

SolidCable.singleton_class.prepend(ReadOnce)
