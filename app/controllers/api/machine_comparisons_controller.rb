# One sentence sent to all active services of a language pair, to see what each gives.
module Api
  class MachineComparisonsController < BaseController
    takes text: :text, source_lang: :text, target_lang: :text

    LONGEST = 500

    # params: text, source_lang, target_lang
    def create
      text = params.require(:text).to_s.strip
      raise Glossema::Refused.new("sentence-long", most: LONGEST) if text.length > LONGEST

      pair = [params.require(:source_lang), params.require(:target_lang)].map(&:to_s)
      services = current_user.machine_services.active.order(:id).select { |one| one.translates?(*pair) }
      raise Glossema::Refused.new("no-service") if services.empty?

      comparison = Machine::Comparison.new(services, *pair)
      ask_outside { { compared: comparison.compare(Glossema::Content.text(text)) } }
    end
  end
end
