# The handbook that ships with the app: docs/handbook, one Markdown file a chapter.
class HandbookController < ApplicationController
  FOLDER = Rails.root.join("docs/handbook")

  def show
    chapter = chapters.find { |candidate| candidate[:id] == params[:id] } || chapters.first
    render inertia: "Handbook",
           props: {
             chapters: chapters.map { |other| other.slice(:id, :title) }, chapter: chapter[:id], title: chapter[:title],
             html: Kramdown::Document.new(chapter[:text].lines.drop(1).join, auto_ids: true).to_html
           }
  end

  private

  def chapters
    @chapters ||= FOLDER.glob("*.md")
      .sort
      .map { |file| { id: file.basename(".md").to_s.sub(/\A\d+-/, ""), text: file.read } }
      .each { |chapter| chapter[:title] = chapter[:text].lines.first.delete_prefix("# ").strip }
  end
end
