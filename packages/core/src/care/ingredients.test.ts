import { ingredientsOf } from './ingredients';

// Lines as they stand on packages; the salts and strengths are those of the WHO Model List of Essential Medicines (from memory).
it.each<[string, string[]]>([
  ['Paracetamol', ['paracetamol']],
  ['  paracetamol 500 mg', ['paracetamol']],
  ['Paracetamol 24 mg/ml', ['paracetamol']],
  ['Acetaminophen 325mg', ['paracetamol']],
  ['Paracetamol (acetaminophen) 500 mg', ['paracetamol']],
  ['Acetaminophen 500 mg + Caffeine 65 mg', ['paracetamol', 'caffeine']],
  ['Ibuprofen lysinate 342 mg', ['ibuprofen']],
  ['Ibuprofen (as ibuprofen sodium dihydrate)', ['ibuprofen']],
  ['paracetamol, phenylephrine hydrochloride and guaifenesin', ['paracetamol', 'phenylephrine', 'guaifenesin']],
  ['Amoxicillin / clavulanic acid 875 mg/125 mg', ['amoxicillin', 'clavulanic acid']],
  ['Acetylsalicylic acid 75 mg', ['acetylsalicylic acid']],
  ['Aspirin', ['acetylsalicylic acid']],
  ['Salbutamol 100 µg/dose', ['salbutamol']],
  ['Albuterol sulfate', ['salbutamol']],
  ['Colecalciferol 400 IU', ['colecalciferol']],
  ['Vitamin D3 10 000 IU', ['colecalciferol']],
  ['Vitamin C', ['ascorbic acid']],
  ['Paracétamol', ['paracetamol']],
  ['Sodium chloride 0.9 %', ['sodium chloride']],
  ['500 mg', []],
  ['', []],
])('“%s” names %j', (printed, names) => expect(ingredientsOf(printed)).toEqual(names));

it('vitamins are not one substance, nor are two that begin alike', () => {
  expect(ingredientsOf('Vitamin B12')).not.toEqual(ingredientsOf('Vitamin B6'));
  expect(ingredientsOf('Hydrocortisone')).not.toEqual(ingredientsOf('Hydrocodone'));
});
