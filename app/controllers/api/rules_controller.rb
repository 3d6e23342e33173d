# Segmentation rules: of a project, or hers for all projects.
module Api
  class RulesController < BaseController
    def show
      if params[:as] == "srx"
        return send_data(rules.srx.xml || "", filename: "rules.srx", type: "application/xml")
      end

      render json: answer_of(rules)
    end

    # params: groups (see Srx.from_h), or a file in SRX.
    def update
      kept = rules
      kept.keep(
        (
          if params[:file]
            Glossema::Segmentation::Srx.new(uploads(:file).first.read.force_encoding("UTF-8"))
          else
            Glossema::Segmentation::Srx.from_h(rule_groups)
          end
        )
      )
      recut
      render json: answer_of(rules)
    end

    def destroy
      rules.drop
      recut
      render json: answer_of(rules)
    end

    private

    def owner = params[:project_id] ? project : current_user
    def rules = @rules ||= Rules.new(owner)

    # Only the text of this project is cut anew; others keep their cuts until they ask.
    def recut = params[:project_id] && RecutJob.perform_later(owner, current_user)

    def answer_of(rules)
      {
        from: rules.from,
        groups: rules.srx.to_h,
        sample: rules.sample,
        language:
          (owner.is_a?(Project) ? owner : current_user.projects.order(opened_at: :desc).first)&.source_lang ||
            "en"
      }
    end
  end
end
