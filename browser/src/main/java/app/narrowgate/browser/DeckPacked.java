package app.narrowgate.browser;

import app.narrowgate.core.drill.ReadingCard;
import java.util.List;

/** Cues to be read, packed: each with its place, its answer, its price and its choices. */
final class DeckPacked {

    private DeckPacked() {
    }

    static Packed of(List<ReadingCard> deck) {
        Packed packed = new Packed();
        for (ReadingCard card : deck) {
            packed.text(card.situation().value()).text(card.reaction().value()).figure(card.price()).mark(card.choices().size());
            for (ReadingCard.Choice choice : card.choices()) {
                packed.text(choice.technique().value()).figure(choice.worth()).mark(choice.right());
            }
        }
        return packed;
    }
}
