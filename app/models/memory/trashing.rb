# A memory that is deleted waits to be brought back, and goes for good after a while.
module Memory::Trashing
  extend ActiveSupport::Concern

  class_methods do
    # Those deleted a while ago, for good.
    def purge_old =
      where(deleted_at: ..TrashItem::KEPT_FOR.ago).where.not(deleted_at: Staging::AT).find_each(&:purge)
  end

  # There again. Where another has taken its name meanwhile it says so.
  def bring_back
    free = user_id && user.memories.present.exists?(name: name) ? free_name(name) : name
    update!(deleted_at: nil, name: free)
  end

  # For good, with all it holds.
  def purge
    Memory::Index.new(id).clear
    Memory::Learned.new(self).forget
    writer = Memory::Writer.new(self)
    units.ids.each_slice(50) do |ids|
      ShortTransaction.run { writer.remove(ids) }
      ShortTransaction.pause
    end
    operations.find_each(&:purge)
    destroy!
  end
end
