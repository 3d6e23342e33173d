# The words of all translations of a project that no dictionary knows, each once, with the places.
class Project::Misspellings
  # So many places of a word are told.
  SHOWN = 20
  Place = Struct.new(:segment, :from, :to)

  def initialize(project)
    @project = project
  end

  # Is there a dictionary of the target language?
  def there? = speller.there?

  # [[word, [Place …]] …], the most frequent first.
  def words
    places = Hash.new { |all, word| all[word] = [] }
    Project::CheckRun.new(@project).translated.includes(:document)
      .order("documents.position", :position).each do |segment|
        speller.faults(segment.target_content.text).each do |fault|
          places[fault.word] << Place.new(segment, fault.from, fault.to)
        end
      end
    places.sort_by { |word, list| [-list.size, word.downcase] }
  end

  private

  def speller = @speller ||= @project.spelling
end
